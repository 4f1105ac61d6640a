import { drawNormal, seededRandom } from '../chance'
import { mean } from 'simple-statistics'
import { expect, it } from 'vitest'
import { drawGroupHabit, simulateSoakUp, soakHeight, SOAK_UP_RATES, type SoakUpBench } from '.'

const bench: SoakUpBench = { rates: SOAK_UP_RATES, seconds: 60, stripWobble: 0.07, readingWobble: 1, groupWobble: 0.06 }

it('water climbs with the square root of time, and readings scatter round that height', () => {
  expect(soakHeight(8, 60)).toBeCloseTo(61.97, 2)
  expect(soakHeight(8, 240)).toBeCloseTo(2 * soakHeight(8, 60), 9)
  const random = seededRandom(1)
  const readings = Array.from({ length: 4000 }, () => simulateSoakUp(bench, 'kitchenRoll', drawGroupHabit(bench, random), random))
  expect(Math.abs(mean(readings) - 61.97)).toBeLessThan(0.4)
  expect(readings.every((value) => Number.isInteger(value) && value >= 0)).toBe(true)
})

it('draws the same numbers from the same seed', () => {
  expect(seededRandom(1)()).toBeCloseTo(0.6270739, 7)
  const [a, b] = [seededRandom(7), seededRandom(7)]
  expect(Array.from({ length: 5 }, () => drawNormal(a))).toEqual(Array.from({ length: 5 }, () => drawNormal(b)))
})
