import { describe, expect, it } from 'vitest'
import { reading, soakUpPlan } from '../../test/soakUp'
import { doubtsOfConclusion } from '../agree'
import { evidenceOf } from '../evidence'
import { EMPTY_RECORD, type Plan } from '../lesson'
import { nearnessOfPrediction, resultsForPredictions } from '../predictions'
import { withMethod } from '../test'
import { countsWords, endsOf, sentenceStarters } from '../wording'

const ROOMS = ['shed', 'hall', 'porch'].map((label) => ({ id: label, label, baseline: false, leftOut: false }))
/** How far the air under the ceiling and at the floor lie apart, in three rooms, read once each by seven groups. */
const rooms = (change: Partial<Plan> = {}): Plan =>
  withMethod(
    soakUpPlan({
      kind: 'over-time',
      conditions: ROOMS,
      things: 'same',
      age: '9-11',
      watch: { ...soakUpPlan().watch, times: [0], places: ['ceiling', 'floor'] },
      ...change,
    }),
    (method) => ({ ...method, unit: 'degC', resolution: 0.1, expected: {}, expectedLow: null, expectedHigh: null, best: null }),
  )
const bySize = (plan: Plan) => withMethod(plan, (method) => ({ ...method, bySize: true }))
const APART: Record<string, number> = { shed: -1.4, hall: 0.8, porch: 0.1 }
const record = (plan: Plan) => ({
  ...EMPTY_RECORD,
  readings: plan.groups.flatMap(({ id: group }, g) =>
    ROOMS.flatMap(({ id: condition }) =>
      ['t0p1', 't0p2'].map((moment, place) =>
        reading({
          group,
          condition,
          moment,
          unit: 'degC',
          value: 20 + (g % 3) / 10 + (place === 0 ? APART[condition]! + ((g % 2) - 0.5) / 10 : 0),
        }),
      ),
    ),
  ),
})

describe('a difference that is negative in one condition', () => {
  it('is ranked and named by its sign', () => {
    const plan = rooms()
    const evidence = evidenceOf(plan, record(plan))!
    expect([evidence.grade, evidence.order]).toEqual(['clear', ['hall', 'porch', 'shed']])
    expect(endsOf(plan)).toEqual({ most: 'highest difference', least: 'lowest difference' })
    const said = sentenceStarters(plan, evidence).join(' ')
    for (const one of sentenceStarters(plan, evidence))
      expect(doubtsOfConclusion(one, plan, evidence).map(({ code }) => code)).not.toContain('wrong-direction')
    expect(said).toContain('for shed the floor was warmer by 1.4')
    expect(said).toContain('for hall the ceiling was warmer by 0.79')
    expect(evidence.fromNothing.find(({ condition }) => condition === 'shed')!.mean).toBeCloseTo(-1.4, 1)
  })

  it('is ranked, predicted and named by its size, where the class says so', () => {
    const plan = bySize(rooms())
    const evidence = evidenceOf(plan, record(plan))!
    expect([evidence.grade, evidence.order]).toEqual(['clear', ['shed', 'hall', 'porch']])
    expect(evidence.summaries.find(({ condition }) => condition === 'shed')!.evened).toBeCloseTo(1.4, 1)
    expect([endsOf(plan).most, countsWords(plan)]).toEqual(['biggest difference', 'last reading, ceiling less floor, by size'])
    // Whether it is more or less than nothing is no question of size.
    expect(evidence.fromNothing.find(({ condition }) => condition === 'shed')!.mean).toBeCloseTo(-1.4, 1)
    const found = resultsForPredictions(plan, record(plan))!
    const guess = (as: 'number' | 'change', values: Record<string, number>) =>
      nearnessOfPrediction({ as, order: ['shed', 'hall', 'porch'], values }, found)
    expect(guess('number', { shed: -1.4, hall: 0.8, porch: 0.1 }).away).toBeLessThan(0.1)
    expect(guess('change', { shed: -1, hall: 1, porch: 1 }).right).toBeGreaterThanOrEqual(2)
  })

  it('says nothing of what cannot be less than nothing', () => {
    const plan = bySize(soakUpPlan())
    const readings = plan.groups.flatMap(({ id: group }) =>
      plan.conditions.map(({ id: condition }, c) => reading({ group, condition, value: 10 + c })),
    )
    expect(evidenceOf(plan, { ...EMPTY_RECORD, readings })).toEqual(
      evidenceOf(soakUpPlan({ groups: plan.groups }), { ...EMPTY_RECORD, readings }),
    )
  })
})
