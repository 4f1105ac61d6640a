import { describe, expect, it } from 'vitest'
import { reading, soakUpPlan } from '../../test/soakUp'
import { EMPTY_RECORD, type Improvement, type LessonRecord } from '../lesson'
import { withKind, withMethod } from '../test'
import { bestSoFarWords, gainWords, tryLine } from '../wording'
import { groupReport } from '../wording/reports'
import { stationState } from '../station'
import { changesMade, triesOf, wordsThatHelped } from '.'

const [first, second, third] = ['kitchen-roll', 'tissue', 'card']
const plan = withKind(
  soakUpPlan({ repeats: 1, conditions: soakUpPlan().conditions.filter(({ id }) => id !== 'writing-paper') }),
  'improve',
)
const change = (group: string, condition: string, what: string): Improvement => ({
  id: `${group}${condition}`,
  group,
  condition,
  what,
  why: 'it is stiffer',
  by: 'station',
  at: '2026-03-12T11:00:00.000Z',
})
const record: LessonRecord = {
  ...EMPTY_RECORD,
  readings: [
    reading({ condition: first!, value: 9 }),
    reading({ condition: second!, value: 14 }),
    reading({ condition: third!, value: 12 }),
    reading({ group: 'g2', condition: first!, value: 10 }),
    reading({ group: 'g2', condition: second!, value: 13 }),
  ],
  improvements: [
    change('g1', second!, 'folded once'),
    change('g1', third!, 'glued on top'),
    change('g2', second!, 'folding both sides'),
  ],
}

describe('tries at a better one', () => {
  it('have what was changed, what they gained on the best before, and the best so far', () => {
    const tries = triesOf(plan, record, 'g1')
    expect(tries.map(({ result, gain, best }) => [result, gain, best])).toEqual([
      [9, undefined, false],
      [14, 5, true],
      [12, -2, false],
    ])
    expect(bestSoFarWords(plan, tries)).toBe('Best so far: 14\u202fmm, tissue.')
    expect(tryLine(plan, tries[1]!)).toBe('tissue: folded once, because it is stiffer. 14\u202fmm, 5\u202fmm better.')
    expect(gainWords(plan, -2)).toBe('2\u202fmm worse')
    const least = { ...plan, measures: plan.measures.map((one) => ({ ...one, method: { ...one.method, best: 'least' as const } })) }
    expect(triesOf(least, record, 'g1').map(({ best }) => best)).toEqual([true, false, false])
    const near = withMethod(plan, (method) => ({ ...method, best: 'nearest', bestNumber: 11 }))
    expect(triesOf(near, record, 'g1').map(({ gain, best }) => [gain, best])).toEqual([
      [undefined, false],
      [-1, false],
      [1, true],
    ])
  })

  it('have no best one and gain nothing until somebody said what is best', () => {
    const measures = plan.measures.map((card) => ({ ...card, name: 'how smooth it is' }))
    const open = withMethod({ ...plan, measures }, (method) => ({ ...method, best: null }))
    expect(triesOf(open, record, 'g1').every(({ gain, best }) => gain === undefined && !best)).toBe(true)
    expect(bestSoFarWords(open, triesOf(open, record, 'g1'))).toBe('')
  })

  it('show across groups which changes helped, and what they have in common', () => {
    const changes = changesMade(plan, record)
    expect(changes.map(({ what, gain }) => [what, gain])).toEqual([
      ['folded once', 5],
      ['folding both sides', 3],
      ['glued on top', -2],
    ])
    expect(wordsThatHelped(changes)).toEqual([{ word: 'fold', helped: 2, of: 2 }])
  })

  it('are explained before they are built, and stand in the group’s report with its own graph', () => {
    const shown = (of: LessonRecord) =>
      stationState(plan, of, 'g2', '2026-03-12', { doing: 'testing', skipped: { prediction: true, practice: true } })!.step
    expect(shown(record)).toEqual({ show: 'improve', condition: third })
    expect(shown({ ...record, improvements: [...record.improvements, change('g2', third!, 'a tube')] })).toMatchObject({
      show: 'trial',
    })
    const { blocks } = groupReport(plan, record, 'g1')
    expect(blocks).toContainEqual(expect.objectContaining({ kind: 'chart', group: 'g1' }))
    expect(JSON.stringify(blocks)).toContain('Tissue: folded once, because it is stiffer.')
  })
})
