import { describe, expect, it } from 'vitest'
import { inTwoMeasures, inTwoSeries } from '../../test/ready'
import { reading, soakUpPlan } from '../../test/soakUp'
import { EMPTY_RECORD, type Plan } from '../lesson'
import { askedAtOnce, forMeasure, forSeries, isAlsoSeen, markOf, measuredCards, seriesIn, testOf, viewsBeside } from '../test'
import { gradeSentence, modelLines } from '../wording'
import { everyTable, evidenceOf, oneOfFamily, surerBy, weighEvidence } from '.'

const options = { resolution: 0.1, totalSd: 1, differenceThatMatters: 0 }
/** Two papers, five groups; b lies so far above a, and its gap wobbles. */
const gap = (by: number) =>
  weighEvidence(
    [0, 1, 2, 3, 4].flatMap((g) => [
      { group: `g${g}`, condition: 'a', value: 50 + g },
      { group: `g${g}`, condition: 'b', value: 50 + g + by + [1, -1, 0.5, -0.5, 0][g]! },
    ]),
    options,
  )

it('what is just clear by itself leans only where three questions are asked at once, and what is plainly clear stays', () => {
  const just = gap(1.1)
  expect(just.grade).toBe('clear')
  const among = oneOfFamily(just, [just, gap(0), gap(0.1)])
  expect([among.grade, among.lead!.grade, among.pairs[0]!.grade]).toEqual(['leaning', 'leaning', 'leaning'])
  expect(among.family).toEqual({ of: 3, p: just.whole!.judged * 3 })
  const plainly = gap(5)
  expect(oneOfFamily(plainly, [gap(0), plainly, gap(0.1)]).grade).toBe('clear')
  expect(gradeSentence(soakUpPlan(), among)).toBe(
    'There is a gap, but 3 questions are asked at once, and luck has as many chances to make one.',
  )
  expect(modelLines(soakUpPlan(), among).figures.map(({ term }) => term)).toContain('p, one of 3 questions')
})

it('all measures and all series of a lesson are one family, whichever of them is looked at', () => {
  expect(viewsBeside(forMeasure(inTwoMeasures, 'seconds')).map(({ measured }) => measured)).toEqual(
    measuredCards(inTwoMeasures).map(({ id }) => id),
  )
  expect(viewsBeside(forSeries(inTwoSeries, seriesIn(inTwoSeries)[1]!))).toHaveLength(2)
  expect(viewsBeside(soakUpPlan())).toHaveLength(1)
  const plan: Plan = inTwoMeasures
  const readings = measuredCards(plan).flatMap(({ id }) =>
    plan.groups.flatMap(({ id: group }, g) =>
      plan.conditions.flatMap(({ id: condition }, c) =>
        [1, 2].map((repeat) =>
          reading({
            id: `${id}${group}${condition}${repeat}`,
            group,
            condition,
            repeat,
            moment: markOf(plan, id),
            unit: testOf(forMeasure(plan, id)).unit,
            value: 50 + ((g * 7 + c * 5 + repeat * 3) % 11),
          }),
        ),
      ),
    ),
  )
  const record = { ...EMPTY_RECORD, readings }
  const tables = everyTable(plan, record)
  expect(tables.map(({ evidence }) => evidence.family?.of)).toEqual([2, 2])
  expect(evidenceOf(plan, record)).toBe(tables[0]!.evidence)
})

describe('a main question', () => {
  const [height, seconds] = measuredCards(inTwoMeasures).map(({ id }) => id)
  const readings = measuredCards(inTwoMeasures).flatMap(({ id }) =>
    inTwoMeasures.groups.flatMap(({ id: group }, g) =>
      inTwoMeasures.conditions.flatMap(({ id: condition }, c) =>
        [1, 2, 3].map((repeat) =>
          reading({
            id: `${id}${group}${condition}${repeat}`,
            group,
            condition,
            repeat,
            moment: markOf(inTwoMeasures, id),
            unit: testOf(forMeasure(inTwoMeasures, id)).unit,
            value: 80 - 10 * c + ((g * 7 + repeat * 3) % 5),
            at: '2026-03-12T10:55:00.000Z',
          }),
        ),
      ),
    ),
  )
  const record = { ...EMPTY_RECORD, readings }
  const named = (at: string): Plan => ({ ...inTwoMeasures, mainQuestion: { measure: seconds!, series: null, at } })
  const gradesOf = (plan: Plan) => [height, seconds].map((id) => evidenceOf(forMeasure(plan, id), record)!)

  it('that was named beforehand stands alone, and the other is a hint', () => {
    const [also, main] = gradesOf(named('2026-03-12T10:30:00.000Z'))
    expect([main!.grade, main!.family]).toEqual(['clear', undefined])
    expect([also!.grade, also!.limits, also!.pairs.some(({ grade }) => grade === 'clear')]).toEqual([
      'leaning',
      ['also-seen'],
      false,
    ])
    expect(gradeSentence(inTwoMeasures, also!)).toBe(
      'There is a gap. It was looked at besides the main question: a hint of what to test next.',
    )
    expect(surerBy(inTwoMeasures, also!)).toEqual([{ code: 'ask-it-first' }])
  })

  it('that was named once readings were there, or that is gone, is none', () => {
    for (const plan of [
      named('2026-03-12T10:56:00.000Z'),
      { ...named('2026-03-12T10:30:00.000Z'), mainQuestion: { measure: 'gone', series: null, at: '2026-03-12T10:30:00.000Z' } },
    ])
      expect(gradesOf(plan).map(({ family }) => family?.of)).toEqual([2, 2])
  })

  it('of several series caps what is said across them, too', () => {
    const [first] = seriesIn(inTwoSeries)
    const plan: Plan = {
      ...inTwoSeries,
      mainQuestion: { measure: inTwoSeries.measured!, series: first!.id, at: '2026-03-12T10:30:00.000Z' },
    }
    expect(askedAtOnce(plan)).toHaveLength(2)
    expect(isAlsoSeen(forSeries(plan, first!), [])).toBe(false)
    expect(isAlsoSeen(forSeries(plan, seriesIn(plan)[1]!), [])).toBe(true)
  })
})
