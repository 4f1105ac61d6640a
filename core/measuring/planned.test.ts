import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { measuredSo } from '../../test/measuredSo'
import { soakUpPlan } from '../../test/soakUp'
import { drawNormal, seededRandom } from '../chance'
import { weighEvidence } from '../evidence'
import { type Plan } from '../lesson'
import golden from '../../test/golden/chanceOfClear.json'
import { expectClose } from '../../test/close'
import {
  chanceBestIsBest,
  chanceOfClear,
  chanceRightOrder,
  chancesByRepeats,
  measuringSd,
  outlookOf,
  readingSdOf,
  trialSdOf,
} from '.'
import { neededWords } from '../wording'
import { testOf, type ResolvedMethod } from '../test'

const withMethod = (change: Partial<ResolvedMethod>, plan: Plan = soakUpPlan()): Plan => measuredSo(plan, change)

describe('outlookOf', () => {
  it('spreads the expected results evenly and adds the wobbles in squares', () => {
    const outlook = outlookOf(soakUpPlan())!
    expect(outlook.means).toEqual([14, 30, 46, 62])
    expect(outlook.closest).toBe(16)
    expect(outlook.measuring).toBeCloseTo(Math.sqrt(1 / 12 + 1), 9)
    expect(outlook.total).toBeCloseTo(Math.sqrt(25 + 1 / 12 + 1), 9)
    expect(outlook.needed).toBe(2)
    expect(outlook.clear).toBeCloseTo(1, 9)
  })

  it('asks for no more repeats of a single trial that comes out clear already', () => {
    const outlook = outlookOf({ ...soakUpPlan(), repeats: 1 })!
    expect(outlook.clear).toBeGreaterThan(0.9)
    expect([outlook.needed, neededWords(outlook, 1)]).toEqual([1, ''])
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
    expect(outlook.clear).toBeLessThan(0.5)
  })

  it('agrees with the whole chart', () => {
    const plan = withMethod({ trialWobble: 44 })
    const outlook = outlookOf(plan)!
    const chart = chancesByRepeats(outlook)
    expect(chart.map(({ repeats }) => repeats)).toEqual([1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12])
    expect(chart[plan.repeats - 1]!.clear).toBeCloseTo(outlook.clear, 12)
    expect(chart.find(({ clear }) => clear >= 0.9)!.repeats).toBe(outlook.needed)
  })
})

describe('the chance of coming out clear', () => {
  it.each(golden)('golden: $input.groups groups, $input.repeats repeats, sd $input.sd', ({ input, expected }) => {
    const shares = Array.from({ length: input.groups }, () => [...input.means.keys()])
    const { means, repeats, sd, ownSd: own } = input
    const { chance, df } = chanceOfClear({ means, shares, repeats, sd, own, sameThing: false })
    expect(df).toBe(expected.df)
    expectClose(chance, expected.chanceOfClear)
  })

  it('is nothing for one group with the same thing, and never one repeat for a lone group', () => {
    const ask = { means: [10, 20], shares: [[0, 1]], repeats: 3, sd: 1, own: 0, sameThing: false }
    expect(chanceOfClear(ask).chance).toBeGreaterThan(0.9)
    expect(chanceOfClear({ ...ask, sameThing: true }).chance).toBe(0)
    expect(chanceOfClear({ ...ask, repeats: 1 }).chance).toBe(0)
  })

  it('counts shared out groups by what they compare, and those of several pieces apart', () => {
    const shared = chanceOfClear({
      means: [1, 2, 3],
      shares: [
        [0, 1],
        [1, 2],
        [0, 2],
      ],
      repeats: 3,
      sd: 1,
      own: 0,
      sameThing: false,
    })
    expect(shared.df).toBe(1)
    expect(
      chanceOfClear({
        means: [1, 2, 3, 4],
        shares: [
          [0, 1],
          [2, 3],
        ],
        repeats: 2,
        sd: 1,
        own: 0,
        sameThing: false,
      }).df,
    ).toBe(0)
  })
})

describe('a wobble that nobody typed', () => {
  const method = testOf(soakUpPlan()).method!
  it('follows the mark, and a count by how far it goes', () => {
    expect(readingSdOf({ ...method, readingWobble: null, resolution: 4 })).toBe(2)
    expect(readingSdOf({ ...method, readingWobble: 0.3, resolution: 4 })).toBe(0.3)
    const counting = { ...method, readingWobble: null, unit: 'count' as const }
    expect(readingSdOf({ ...counting, expectedLow: 10, expectedHigh: 40 })).toBe(0)
    expect(readingSdOf({ ...counting, expectedLow: 50, expectedHigh: 150 })).toBe(2)
  })

  it('from trial to trial is never silently nothing, and what the class shows replaces it', () => {
    const nobody = { ...method, trialWobble: null, expectedLow: 20, expectedHigh: 80 }
    expect(trialSdOf(nobody, 1, undefined)).toEqual({ sd: 4, from: 'assumed' })
    expect(trialSdOf({ ...nobody, trialWobble: 2 }, 1, undefined)).toEqual({ sd: 2, from: 'said' })
    const { sd, from } = trialSdOf({ ...nobody, trialWobble: 2 }, 3, { sd: 5, own: 0 })
    expect([sd, from]).toEqual([4, 'record'])
  })
})

describe('the chances', () => {
  const means = fc.array(fc.integer({ min: 0, max: 100 }), { minLength: 2, maxLength: 6 })

  it('never fall with more repeats, and the right order is never likelier than the best one', () => {
    fc.assert(
      fc.property(means, fc.integer({ min: 1, max: 40 }), (own, sd) => {
        const shares = [0, 1, 2, 3].map(() => [...own.keys()])
        const design = {
          means: own,
          total: sd,
          own: 0,
          byPlaces: false,
          shares,
          readers: 1,
          turns: undefined,
          sameThing: false,
          oneSpecimen: false,
          paired: false,
        }
        const chances = chancesByRepeats(design)
        chances.forEach(({ clear, bestInClass, bestInGroup, rightOrder }, place) => {
          const before = chances[place - 1]
          expect(clear).toBeGreaterThanOrEqual((before?.clear ?? 0) - 1e-6)
          expect(bestInGroup).toBeGreaterThanOrEqual((before?.bestInGroup ?? 0) - 1e-6)
          expect(rightOrder).toBeLessThanOrEqual(bestInGroup + 1e-3)
          expect(bestInClass).toBeGreaterThanOrEqual(bestInGroup - 1e-6)
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
  expect(testOf(soakUpPlan()).resolution).toBe(1)
})

it('one thing before and after goes by its pairs: what is promised of one group is what classes find', () => {
  const plan = soakUpPlan({ kind: 'before-after', things: 'fresh', repeats: 4, conditions: soakUpPlan().conditions.slice(0, 1) })
  const one = { ...plan, groups: plan.groups.slice(0, 1) }
  const found = outlookOf(withMethod({ expectedLow: 50, expectedHigh: 59, trialWobble: 4 }, one))!
  expect(found.paired).toBe(true)
  const random = seededRandom(133)
  const clear = Array.from({ length: 2000 }, () => {
    const cells = [1, 2, 3, 4].flatMap((repeat) =>
      ['before', 'after'].map((condition, place) => ({
        group: `g/${repeat}`,
        condition,
        value: found.means[place]! + found.total * drawNormal(random),
      })),
    )
    return weighEvidence(cells, { resolution: 0.01, totalSd: found.total, differenceThatMatters: 0 }).grade === 'clear'
  }).filter(Boolean).length
  expect(Math.abs(found.clear - clear / 2000)).toBeLessThan(0.04)
})
