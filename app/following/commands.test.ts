import { expect, it } from 'vitest'
import { emptyRecord, reading, soakUpPlan } from '../../test/soakUp'
import { commandFor } from './commands'

const plan = soakUpPlan()
const slip = reading({ value: 5.2, entered: '5.2' })
const record = { ...emptyRecord, readings: [slip] }
const command = (fix: Parameters<typeof commandFor>[2]) => commandFor(plan, record, fix, () => 'fresh')

it('a button of the Second look changes the plan, writes a row that supersedes, or leads somewhere', () => {
  expect(command({ code: 'set-repeats', repeats: 5 })).toMatchObject({ do: 'replace', plan: { repeats: 5 } })
  expect(command({ code: 'go', stop: 'kit', target: { place: 'more', of: 'm0' } })).toEqual({
    do: 'go',
    stop: 'kit',
    target: 'more-m0',
  })
  expect(command({ code: 'correct-reading', reading: slip.id, value: 52, unit: 'mm' })).toMatchObject({
    do: 'write',
    readings: [{ value: 52, entered: '52\u202fmm', reason: 'was written as 5.2', supersedes: slip.id, confirmed: true }],
  })
  expect(command({ code: 'keep-reading', reading: slip.id })).toMatchObject({
    do: 'write',
    readings: [{ value: 5.2, supersedes: slip.id, confirmed: true }],
  })
  const turned = command({ code: 'these-were', unit: 's', readings: [slip.id] })
  expect(turned).toMatchObject({
    do: 'write',
    readings: [{ value: 5.2, unit: 's', reason: 'was written in mm', supersedes: slip.id }],
    back: [{ value: 5.2, unit: 'mm', reason: 'taken back from s' }],
  })
  expect(turned.do === 'write' && turned.back![0]!.supersedes).toBe(turned.do === 'write' && turned.readings[0]!.id)
  expect(command({ code: 'keep-reading', reading: 'gone' })).toEqual({ do: 'nothing' })
})
