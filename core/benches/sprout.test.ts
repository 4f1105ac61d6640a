import { seededRandom } from '../chance'
import { expect, it } from 'vitest'
import { bounceHeight, drawDish, secondTouch, simulateSprout, sproutHeight, SPROUT_BENCH } from '.'

it('cress shows nothing at first, shoots up and levels off; the dark makes it longest, the cold slows it down', () => {
  expect(sproutHeight(60, 5, 5)).toBeCloseTo(60 * (1 - Math.exp(-1)), 9)
  const random = seededRandom(4)
  const grown = (place: string) =>
    [0, 2, 4, 7, 9, 30].map((day) =>
      simulateSprout(SPROUT_BENCH, place, day, drawDish({ ...SPROUT_BENCH, dishWobble: 0 }, random), random)!,
    )
  const [sill, cupboard, fridge] = [grown('sill'), grown('cupboard'), grown('fridge')]
  expect(sill[0]).toBe(0)
  expect(sill[3]! - sill[1]!).toBeGreaterThan(sill[5]! - sill[4]!)
  expect(cupboard[4]!).toBeGreaterThan(sill[4]!)
  expect(fridge[4]!).toBeLessThan(sill[4]!)
  expect(simulateSprout(SPROUT_BENCH, 'moon', 4, 1, random)).toBeUndefined()
})

it('a ball that falls further bounces higher and lands later, the time by much less', () => {
  const [low, high] = [80, 120]
  expect(bounceHeight(0.55, high) / bounceHeight(0.55, low)).toBeCloseTo(1.5, 9)
  expect(secondTouch(0.55, 100)).toBeCloseTo(1.121, 3)
  expect(secondTouch(0.55, high) / secondTouch(0.55, low)).toBeCloseTo(Math.sqrt(1.5), 9)
})
