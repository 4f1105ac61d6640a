import fc from 'fast-check'
import { expect, it } from 'vitest'
import { decimalsOf, onTheMark, roundToMark, withoutNoise, writeQuantity, writeShort } from '.'

it('rounds to the nearest mark, halves away from zero, free of binary noise', () => {
  expect(roundToMark(2.675, 0.01)).toBe(2.68)
  expect(roundToMark(-2.5, 1)).toBe(-3)
  expect(roundToMark(0.3, 0.1)).toBe(0.3)
  expect(roundToMark(17.4, 0.25)).toBe(17.5)
  expect(roundToMark(-0.2, 1)).toBe(0)
})

it('takes noise away from sums, and from nought its sign', () => {
  expect([withoutNoise(0.1 + 0.2), withoutNoise(-7), withoutNoise(1e15 + 1), withoutNoise(Infinity)]).toEqual([
    0.3,
    -7,
    1e15,
    Infinity,
  ])
  expect(withoutNoise(-0)).toBe(0)
})

it('never moves a value by more than half a mark, and lands on a mark', () => {
  const marks = fc.constantFrom(1, 2, 5, 0.5, 0.1, 0.25, 0.01)
  fc.assert(
    fc.property(fc.double({ min: -5000, max: 5000, noNaN: true }), marks, (value, mark) => {
      const rounded = roundToMark(value, mark)
      return Math.abs(rounded - value) <= mark / 2 + 1e-9 && onTheMark(rounded, mark)
    }),
  )
})

it('writes as many digits as the mark needs', () => {
  expect(decimalsOf(0.25)).toBe(2)
  expect(decimalsOf(10)).toBe(0)
  expect(writeQuantity(-12500, 'mm', 1)).toBe('−12\u202f500.0\u202fmm')
  expect(writeShort(2.5)).toBe('2.5')
  expect(writeShort(100)).toBe('100')
})
