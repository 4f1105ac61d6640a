import { seededRandom } from '../chance'
import { describe, expect, it } from 'vitest'
import { counter, soakUpPlan } from '../../test/soakUp'
import { INVESTIGATIONS } from '../../schemas/investigations'
import { benchFigures, hasBench } from '../benches'
import { type Plan } from '../lesson'
import { testOf, planFrom } from '../../core/test'
import {
  applyWay,
  chancesByRaces,
  outlookOf,
  timingWobbleOf,
  warmUpSignals,
  waysToSee,
  WANTED_CHANCE,
  withExpected,
  withTiming,
  withWarmUp,
} from '.'

const bounce = (measured: string): Plan => ({ ...planFrom(INVESTIGATIONS['bounce-back']!, 'Puffin', 26, counter('g')), measured })
const methodOf = (plan: Plan) => testOf(plan).method!

describe('the stopwatch warm-up', () => {
  it('measures how unevenly children press, not how late', () => {
    expect(timingWobbleOf([0.1, -0.1, 0.1, -0.1, 0])).toBeCloseTo(0.1, 12)
    expect(timingWobbleOf([1.1, 0.9, 1.1, 0.9, 1])).toBeCloseTo(0.1, 12)
    expect(timingWobbleOf([0.1, 0.2, 0.3, 0.4])).toBeUndefined()
    expect(withTiming([0.2], 2.3, 2.2)).toEqual([0.2, 0.1])
    expect(
      withTiming(
        Array.from({ length: 400 }, () => 0),
        99,
        2,
      ),
    ).toHaveLength(400)
  })

  it('replaces the assumed wobble in the unit of the method', () => {
    const seconds = methodOf(bounce('time'))
    expect(withWarmUp(seconds, [0.3, -0.3, 0.3, -0.3, 0]).timingWobble).toBeCloseTo(0.3, 9)
    expect(withWarmUp({ ...seconds, unit: 'min' }, [0.3, -0.3, 0.3, -0.3, 0]).timingWobble).toBeCloseTo(0.005, 9)
    expect(withWarmUp(seconds, [0.3])).toMatchObject({ timingWobble: 0.15, warmUp: [0.3] })
  })

  it('gives signals that nobody can count along', () => {
    const signals = warmUpSignals(50, seededRandom(3))
    expect(new Set(signals.map(({ lasts }) => lasts.toFixed(2))).size).toBeGreaterThan(30)
    expect(signals.every(({ wait, lasts }) => wait >= 1 && wait <= 2.5 && lasts >= 1.2 && lasts <= 3.2)).toBe(true)
  })
})

describe('races', () => {
  it('with one race and two runners agree with the normal distribution', () => {
    // P(first is first) = Phi(gap / (sd sqrt 2)); gap = sd here: Phi(0.7071) = 0.7602.
    expect(chancesByRaces([1, 2], 1, 1)[0]!.bestIsBest).toBeCloseTo(0.7602, 1)
  })

  it('get surer with more of them, and are fair when there is nothing between the runners', () => {
    const chances = chancesByRaces([1, 1.5, 2, 3], 0.6, 12).map(({ bestIsBest }) => bestIsBest)
    expect(chances[11]!).toBeGreaterThan(chances[0]!)
    expect(chancesByRaces([1, 1, 1], 1, 2)[1]!.bestIsBest).toBeCloseTo(1 / 3, 1)
  })
})

describe('a bounce timed by hand', () => {
  it('may not come out clear, and the height it reaches or a side-by-side start would do', () => {
    const plan = bounce('time')
    expect(outlookOf(plan)!.clear).toBeLessThan(WANTED_CHANCE)
    const ways = waysToSee(plan)
    expect(ways.map(({ code }) => code)).toEqual(expect.arrayContaining(['other-measure', 'order-instead']))
    for (const way of ways) expect(outlookOf(applyWay(plan, way, counter('g')))!.clear).toBeGreaterThanOrEqual(WANTED_CHANCE)
    const byHeight = applyWay(
      plan,
      ways.find(({ code }) => code === 'other-measure')!,
      counter('g'),
    )
    expect(byHeight.measured).toBe('height')
    const race = applyWay(
      plan,
      ways.find(({ code }) => code === 'order-instead')!,
      counter('g'),
    )
    expect([race.kind, methodOf(race).way, methodOf(race).expectedHigh]).toEqual(['order', 'race', 1.23])
  })
})

describe('expected results', () => {
  it('from the model replace the guess, condition by condition, and its wobble is the trials’ own', () => {
    const plan = soakUpPlan()
    const figures = benchFigures(plan)!
    const method = withExpected(methodOf(plan), figures, 'bench')
    expect(method).toMatchObject({ expectedFrom: 'bench', expectedLow: figures.expected.card })
    const told = outlookOf({ ...plan, measures: [{ ...plan.measures[0]!, method }] })!
    expect(told.means).toEqual(plan.conditions.map(({ id }) => figures.expected[id]))
    // Trials and measuring together wobble as much as the model's readings did.
    expect(told.total).toBeCloseTo(figures.sd, 1)
  })

  it('the model knows its own conditions only, and numbers that the teacher changed', () => {
    expect(hasBench(soakUpPlan())).toBe(true)
    expect(hasBench(soakUpPlan({ investigation: null }))).toBe(false)
    const higher = { ...bounce('height'), conditions: bounce('height').conditions.map((one) => ({ ...one, label: '2 m' })) }
    expect(Object.values(benchFigures(higher)!.expected).every((value) => Math.abs(value - 110) < 2)).toBe(true)
  })
})
