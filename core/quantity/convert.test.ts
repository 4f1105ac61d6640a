import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { convert, readQuantity, unitNamed, unitOf, UNIT_CODES, isWord, writeNumber, writeQuantity } from '.'

const anyUnit = fc.constantFrom(...UNIT_CODES.filter((code) => !isWord(code)))

describe('convert', () => {
  it.each([
    [1, 'in', 'cm', 2.54],
    [1, 'lb', 'g', 453.59237],
    [3, 'tsp', 'tbsp', 1],
    [100, 'degC', 'degF', 212],
    [-40, 'degF', 'degC', -40],
    [1, 'day', 'min', 1440],
  ] as const)('%d %s in %s is %d', (value, from, to, wanted) => expect(convert(value, from, to)).toBeCloseTo(wanted, 9))

  it('goes there and back without loss, and never between kinds of unit', () => {
    fc.assert(
      fc.property(anyUnit, anyUnit, fc.integer({ min: -9999, max: 9999 }), (from, to, tenths) => {
        const there = convert(tenths / 10, from, to)
        if (unitOf(from).dimension !== unitOf(to).dimension) expect(there).toBeUndefined()
        else expect(convert(there!, to, from)).toBeCloseTo(tenths / 10, 6)
      }),
    )
  })
})

describe('written and read again', () => {
  it('is the same quantity in every unit', () => {
    fc.assert(
      fc.property(anyUnit, fc.integer({ min: 0, max: 99_999_999 }), fc.integer({ min: 0, max: 3 }), (unit, digits, decimals) => {
        const value = digits / 10 ** decimals
        const written = writeQuantity(value, unit, decimals)
        expect(readQuantity(written, { unit }), written).toMatchObject({ ok: true, value: expect.closeTo(value, 6) })
      }),
    )
  })

  it('is a finite number or an error with a place inside the text, whatever was typed', () => {
    const anything = fc.oneof(fc.string({ maxLength: 80 }), fc.stringMatching(/^[-0-9.,/:' ½cms"]{0,20}$/))
    fc.assert(
      fc.property(anything, anyUnit, (text, unit) => {
        const read = readQuantity(text, { unit })
        if (read.ok) expect(Number.isFinite(read.value)).toBe(true)
        else expect(read.position).toBeLessThanOrEqual(Math.max(60, text.length))
      }),
      { numRuns: 2000 },
    )
  })
})

it('knows a unit by every spelling and in any case', () => {
  for (const code of UNIT_CODES) {
    for (const spelling of unitOf(code).spellings)
      expect(unitNamed(spelling.toUpperCase()) ?? unitNamed(spelling), spelling).toBe(code)
  }
  expect(unitNamed('furlong')).toBeUndefined()
})

it('writeNumber sets thousands apart', () => {
  expect(writeNumber(12500.5, 1)).toBe('12\u202f500.5')
  expect(writeNumber(-0.04, 1)).toBe('0.0')
})
