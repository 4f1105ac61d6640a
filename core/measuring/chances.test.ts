import { describe, expect, it } from 'vitest'
import planning from '../../test/golden/planning.json'
import { chanceBestIsBest, chanceRightOrder, measuringSd, repeatsNeeded, totalSd } from '.'

describe.each(planning.detectability)('golden: $name', ({ input, expected, tolerance }) => {
  const measuring = measuringSd(input)
  const total = totalSd(input.naturalSd, measuring)

  it('has the wobble', () => {
    expect(Math.abs(measuring / expected.measureSd - 1)).toBeLessThan(1e-6)
    expect(Math.abs(total / expected.totalSd - 1)).toBeLessThan(1e-6)
  })

  it.each(expected.byRepeats)('has the chances for $repeats repeats', ({ repeats, bestIsBest, rightOrder }) => {
    expect(Math.abs(chanceBestIsBest(input.means, total, repeats) - bestIsBest)).toBeLessThan(tolerance.bestIsBest)
    expect(Math.abs(chanceRightOrder(input.means, total, repeats) - rightOrder)).toBeLessThan(tolerance.rightOrder)
  })

  it('has the smallest repeats for nine in ten', () => {
    expect(repeatsNeeded(input.means, total, { chance: 0.9, most: 20 })).toBe(expected.smallestRepeatsForBest90)
  })
})

it('gives up where no number of repeats will do, and has no answer for one condition', () => {
  expect(repeatsNeeded([1, 1.01], 5, { chance: 0.9, most: 12 })).toBeUndefined()
  expect(() => chanceBestIsBest([1], 1, 3)).toThrow('needs-two-conditions')
})
