import { describe, expect, it } from 'vitest'
import { measuredSo } from '../../test/measuredSo'
import { counter, soakUpPlan } from '../../test/soakUp'
import { fitOf } from '../clock'
import { type Plan } from '../lesson'
import { testOf, type ResolvedMethod } from '../test'
import { applyWay, chanceOfClear, INSTRUMENTS, outlookOf, waysToSee, withInstrument, type Way } from '.'

const heights = ['20', '30', '40', '50'].map((label, place) => ({ id: `n${place}`, label, baseline: false, leftOut: false }))

/** Swing time: four string lengths, one swing timed by hand. */
function swings(change: Partial<ResolvedMethod> = {}): Plan {
  const plan = soakUpPlan({ conditionsAs: 'numbers', conditionUnit: 'cm', conditions: heights })
  return measuredSo(plan, {
    tool: 'stopwatch',
    unit: 's',
    resolution: 0.01,
    readingWobble: 0,
    timingWobble: 0.15,
    trialWobble: 0.02,
    expectedLow: 0.9,
    expectedHigh: 1,
    ...change,
  })
}

const taken = (plan: Plan, way: Way) => applyWay(plan, way, counter('new'))

describe('waysToSee', () => {
  it('has nothing to offer where the plan will do, or where nothing is expected', () => {
    expect(waysToSee(soakUpPlan())).toEqual([])
    expect(waysToSee(swings({ expectedLow: null }))).toEqual([])
  })

  it('offers only what really does it, with what it costs, the cheapest first', () => {
    const plan = swings()
    const ways = waysToSee(plan)
    expect(ways.map(({ code }) => code)).toEqual(expect.arrayContaining(['bigger-steps', 'more-at-once', 'more-repeats']))
    for (const way of ways) {
      const after = taken(plan, way)
      expect(outlookOf(after)!.clear).toBeCloseTo(way.chance, 12)
      expect(way.chance).toBeGreaterThanOrEqual(0.9)
      expect(fitOf(after).needed - fitOf(plan).needed).toBeCloseTo(way.minutes, 9)
    }
    expect(ways.map(({ minutes }) => minutes)).toEqual([...ways.map(({ minutes }) => minutes)].sort((a, b) => a - b))
  })

  it('times as many at once as are needed and no more; the hand’s wobble is shared among them', () => {
    const way = waysToSee(swings()).find(({ code }) => code === 'more-at-once')!
    const after = taken(swings(), way)
    expect(testOf(after).method!.atOnce).toBe(2)
    const { means, shares } = outlookOf(after)!
    const shared = Math.sqrt(0.01 ** 2 / 12 + (0.15 / 2) ** 2 + 0.02 ** 2)
    const ask = { means, shares, repeats: 3, sd: shared, own: 0, sameThing: false }
    expect(way.chance).toBeCloseTo(chanceOfClear(ask).chance, 9)
  })

  it('makes more groups where children allow it, and takes fresh things where the same one came again', () => {
    const kept = swings({ expectedHigh: 1.13 })
    const same: Plan = { ...kept, things: 'same', repeats: 4, groups: kept.groups.slice(0, 6) }
    const ways = waysToSee(same)
    expect(
      taken(
        same,
        ways.find(({ code }) => code === 'more-groups')!,
      ).groups.length,
    ).toBeGreaterThan(3)
    expect(ways.map(({ code }) => code)).toContain('fresh-things')
    expect(waysToSee({ ...same, children: 6 }).map(({ code }) => code)).not.toContain('more-groups')
  })

  it('spreads the numbers wider from the lowest one on', () => {
    const way = waysToSee(swings()).find(({ code }) => code === 'bigger-steps')!
    const after = taken(swings(), way)
    expect(after.conditions.map(({ label }) => label)).toEqual(['20', '40', '60', '80'])
    expect(testOf(after).method!.expectedHigh).toBeCloseTo(1.1, 9)
  })

  it('offers a steadier instrument for the same kind of quantity', () => {
    const coarse = swings({
      tool: 'centimetre ruler',
      unit: 'cm',
      resolution: 1,
      readingWobble: 0.5,
      timingWobble: 0,
      trialWobble: 0.05,
      expectedLow: 2,
      expectedHigh: 2.4,
    })
    const way = waysToSee(coarse).find(({ code }) => code === 'steadier-instrument')!
    const method = testOf(taken(coarse, way)).method!
    expect(method).toMatchObject({ tool: 'ruler', unit: 'mm', expectedLow: 20, expectedHigh: 24, trialWobble: 0.5 })
  })

  it('offers no bigger steps for kinds, and says nothing where nothing helps', () => {
    const plan = soakUpPlan()
    const hopeless = measuredSo(plan, { trialWobble: 500 })
    expect(waysToSee(hopeless)).toEqual([])
  })
})

it('withInstrument forgets what was expected in a quantity of another kind', () => {
  const scale = INSTRUMENTS.find(({ code }) => code === 'scale')!
  expect(withInstrument(testOf(swings()).method!, scale)).toMatchObject({
    unit: 'g',
    expectedLow: null,
    expectedHigh: null,
    trialWobble: null,
  })
})
