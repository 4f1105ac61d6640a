import { describe, expect, it } from 'vitest'
import { conclusion, counter, emptyRecord, soakUpPlan } from '../../test/soakUp'
import { NO_SCHOOL } from '../kit'
import { withEachChild } from '../lesson'
import { printJob } from '.'

describe('printJob', () => {
  const plan = soakUpPlan()
  const before = (change: Parameters<typeof soakUpPlan>[0], tablets: boolean) =>
    printJob(soakUpPlan(change), emptyRecord, NO_SCHOOL, tablets).needed

  it('has record sheets and slips where children write on paper, and the rota where not every group does all', () => {
    expect(before({}, false)).toEqual(expect.arrayContaining(['trays', 'labels', 'slips', 'record']))
    expect(before({}, false)).not.toContain('rota')
    expect(before({}, true).filter((one) => one === 'slips' || one === 'record')).toEqual([])
    expect(before({ arrangement: { ...plan.arrangement, way: 'share-out' } }, true)).toContain('rota')
    expect(before({ materials: [] }, true)).not.toContain('trays')
  })

  it('has each child’s code only where each has one', () => {
    const each = withEachChild(plan, counter('c'), () => 0.3)
    expect(printJob(each, emptyRecord, NO_SCHOOL, true).needed).toContain('codes')
    const { needed, more } = printJob(plan, emptyRecord, NO_SCHOOL, true)
    expect([...needed, ...more]).not.toContain('codes')
  })

  it('is about what was found once the class has agreed', () => {
    const agreed = { ...emptyRecord, conclusions: [conclusion()] }
    expect(printJob(plan, agreed, NO_SCHOOL, false)).toEqual({
      when: 'after',
      needed: ['report', 'count-back'],
      more: ['group-report', 'teacher-notes'],
    })
  })
})
