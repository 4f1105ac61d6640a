import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { soakUpPlan } from '../../test/soakUp'
import { measuredCard, type Method, type Plan } from '../lesson'
import { chanceBestIsBest, chanceRightOrder, chancesByRepeats, measuringSd, outlookOf } from '.'

const withMethod = (change: Partial<Method>, plan: Plan = soakUpPlan()): Plan => ({
  ...plan,
  measures: plan.measures.map((measure) => ({ ...measure, method: { ...measure.method, ...change } })),
})

describe('outlookOf', () => {
  it('spreads the expected results evenly and adds the wobbles in squares', () => {
    const outlook = outlookOf(soakUpPlan())!
    expect(outlook.means).toEqual([14, 30, 46, 62])
    expect(outlook.closest).toBe(16)
    expect(outlook.measuring).toBeCloseTo(Math.sqrt(1 / 12 + 1), 9)
    expect(outlook.total).toBeCloseTo(Math.sqrt(25 + 1 / 12 + 1), 9)
    expect(outlook.needed).toBe(1)
  })

  it('has no answer before there are two conditions and two different guesses', () => {
    expect(outlookOf(soakUpPlan({ measured: null }))).toBeUndefined()
    expect(outlookOf(soakUpPlan({ conditions: soakUpPlan().conditions.slice(0, 1) }))).toBeUndefined()
    for (const change of [{ expectedLow: null }, { expectedHigh: null }, { expectedLow: 62 }])
      expect(outlookOf(withMethod(change))).toBeUndefined()
  })

  it('says when twelve repeats are not enough', () => {
    const outlook = outlookOf(withMethod({ trialWobble: 200 }))!
    expect(outlook.needed).toBeUndefined()
    expect(outlook.chance).toBeLessThan(0.5)
  })

  it('agrees with the whole chart', () => {
    const plan = withMethod({ trialWobble: 18 })
    const outlook = outlookOf(plan)!
    const chart = chancesByRepeats(outlook)
    expect(chart.map(({ repeats }) => repeats)).toEqual([1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12])
    expect(chart[plan.repeats - 1]!.bestIsBest).toBeCloseTo(outlook.chance, 12)
    expect(chart.find(({ bestIsBest }) => bestIsBest >= 0.9)!.repeats).toBe(outlook.needed)
  })
})

describe('the chances', () => {
  const means = fc.array(fc.integer({ min: 0, max: 100 }), { minLength: 2, maxLength: 6 })

  it('never fall with more repeats, and the right order is never likelier than the best one', () => {
    fc.assert(
      fc.property(means, fc.integer({ min: 1, max: 40 }), (own, sd) => {
        const chances = chancesByRepeats({ means: own, total: sd, byPlaces: false })
        chances.forEach(({ bestIsBest, rightOrder }, place) => {
          const before = chances[place - 1]
          expect(bestIsBest).toBeGreaterThanOrEqual((before?.bestIsBest ?? 0) - 1e-6)
          expect(rightOrder).toBeLessThanOrEqual(bestIsBest + 1e-3)
          expect(bestIsBest).toBeLessThanOrEqual(1)
        })
      }),
      { numRuns: 25 },
    )
  })

  it('do not care about the unit: millimetres or centimetres', () => {
    fc.assert(
      fc.property(means, (own) => {
        const tenth = own.map((mean) => mean / 10)
        expect(chanceBestIsBest(tenth, 0.7, 3)).toBeCloseTo(chanceBestIsBest(own, 7, 3), 9)
        expect(chanceRightOrder(tenth, 0.7, 3)).toBeCloseTo(chanceRightOrder(own, 7, 3), 6)
      }),
      { numRuns: 40 },
    )
  })

  it('are one in so many when there is nothing to find', () => {
    expect(chanceBestIsBest([5, 5, 5, 5], 1, 3)).toBeCloseTo(1 / 4, 6)
    expect(chanceRightOrder([5, 5, 5], 1, 3)).toBeCloseTo(1 / 6, 3)
  })
})

it('measuringSd is smaller the finer the marks and the steadier the hand', () => {
  expect(measuringSd({ resolution: 1, readingSd: 1, timingSd: 0 })).toBeCloseTo(1.0408, 4)
  expect(measuringSd({ resolution: 0, readingSd: 0, timingSd: 0.15 })).toBe(0.15)
  expect(measuredCard(soakUpPlan())!.method.resolution).toBe(1)
})
