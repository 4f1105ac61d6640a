import { seededRandom } from '../chance'
import { describe, expect, it } from 'vitest'
import { measuredSo } from '../../test/measuredSo'
import { soakUpPlan } from '../../test/soakUp'
import { STREAMING, streamed } from '../benches'
import type { Way } from '../lesson'
import { NUMBER_UNITS, type UnitCode } from '../quantity'
import { testOf, type ResolvedMethod } from '../test'
import { devicesFor, expectedResultOf, pictureScale, shareOfWord, stopwatchReading } from '.'

const read = (way: Way, unit: UnitCode = 'count') => ({ way, unit, eachIs: 'shown' as const })
const method = (change: Partial<ResolvedMethod>): ResolvedMethod => ({ ...testOf(soakUpPlan()).method!, ...change })

describe('devices', () => {
  it('fit what is measured, and there is always the pad', () => {
    expect(devicesFor(read('number', 's'))).toEqual(['pad', 'stopwatch', 'laps', 'gate'])
    expect(devicesFor(read('number', 'count'))).toEqual(['pad', 'counter'])
    expect(devicesFor(read('number', 'degF'))).toContain('probe')
    for (const unit of NUMBER_UNITS) expect(devicesFor(read('number', unit))[0]).toBe('pad')
    expect(devicesFor(read('words', 'words'))).toEqual(['words'])
    expect(devicesFor(read('race', 'place'))).toEqual(['pad'])
    expect(['dry', 'damp', 'wet'].map((word) => shareOfWord(measuredSo(soakUpPlan(), { way: 'words' }), word))).toEqual([0, 0.5, 1])
    expect(shareOfWord(measuredSo(soakUpPlan(), { way: 'sorts' }), 'right')).toBeUndefined()
  })

  it('a stopwatch reads one event of those timed together, in the plan’s unit and to its mark', () => {
    expect(stopwatchReading(12_346, method({ unit: 's', resolution: 0.01, atOnce: 10 }))).toBe(1.23)
    expect(stopwatchReading(90_000, method({ unit: 'min', resolution: 0.1, atOnce: 1 }))).toBe(1.5)
  })

  it('a picture of a scale has room for everything the teacher expects, on whole marks', () => {
    for (const [low, high, resolution] of [
      [10, 70, 1],
      [null, null, 25],
      [5, 6.2, 0.5],
    ] as const) {
      const scale = pictureScale(method({ expectedLow: low, expectedHigh: high, resolution }))
      expect(scale.low).toBe(0)
      expect(scale.high).toBeGreaterThan(high ?? 0)
      expect(scale.high / scale.step).toBeCloseTo(Math.round(scale.high / scale.step), 9)
    }
    expect(pictureScale(method({ unit: 'degC', expectedLow: -18, expectedHigh: 4 })).low).toBe(-18)
  })

  it('knows what is expected of a condition, for a stand-in to send', () => {
    const { conditions } = soakUpPlan()
    const expected = conditions.map(({ id }) => expectedResultOf(soakUpPlan(), id))
    expect(new Set(expected).size).toBe(conditions.length)
    expect(expectedResultOf(soakUpPlan({ measured: null }), conditions[0]!.id)).toBeUndefined()
  })
})

describe('streamed', () => {
  it.each(Object.entries(STREAMING))('the %s settles, wobbles, creeps and drops out as often as it says', (_, device) => {
    const random = seededRandom(7)
    const ask = { truth: 40, rest: 20, mark: 0.1 }
    const late = Array.from({ length: 4000 }, () => streamed(device, { ...ask, seconds: 60 }, random))
    const came = late.filter((value) => value !== undefined)
    expect(1 - came.length / late.length).toBeCloseTo(device.dropOut, 1)
    const mean = came.reduce((sum, value) => sum + value, 0) / came.length
    expect(mean).toBeCloseTo(40 + device.driftInMarks * 0.1, 1)
    expect(new Set(came).size).toBeGreaterThan(2)
    const early = Array.from({ length: 400 }, () => streamed(device, { ...ask, seconds: 0 }, random) ?? 20)
    expect(Math.abs(early.reduce((sum, value) => sum + value, 0) / early.length - (device.settles > 0 ? 20 : 40))).toBeLessThan(2)
  })
})
