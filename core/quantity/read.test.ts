import { describe, expect, it } from 'vitest'
import { readQuantity, type UnitCode } from '.'

describe('readQuantity', () => {
  const written: [string, UnitCode, number][] = [
    ['12', 'cm', 12],
    ['12.5 cm', 'cm', 12.5],
    ['12,5', 'cm', 12.5],
    ['3,5', 's', 3.5],
    ['5 m 31', 'cm', 531],
    ['68 cm', 'm', 0.68],
    ['1 m 5 cm 3 mm', 'mm', 1053],
    ['17 3/8 in', 'in', 17.375],
    ['½ cup', 'mL', 125],
    ['1½ cup', 'mL', 375],
    ['3/4', 'cm', 0.75],
    ['5 ft 4 in', 'in', 64],
    [`5'4"`, 'in', 64],
    ['1:05', 's', 65],
    ['1:05.5', 's', 65.5],
    ['1:02:03', 's', 3723],
    ['1 min 5 s', 's', 65],
    ['-2 °C', 'degC', -2],
    ['−2', 'degC', -2],
    ['2L', 'mL', 2000],
    ['1 250 g', 'g', 1250],
    ['1\u202f250 g', 'kg', 1.25],
    ['50 °F', 'degC', 10],
    ['  7 Millimetres ', 'cm', 0.7],
    ['2 lb 3', 'oz', 35],
    ['0,125', 'cm', 0.125],
    ['5°', 'degC', 5],
    ['50°', 'degF', 50],
    ['5 degrees', 'degC', 5],
    ['+5', 'cm', 5],
    ['5.', 'cm', 5],
    ['12 cm.', 'mm', 120],
    ['2m30', 's', 150],
    ['2 m', 's', 120],
    ['12 drops', 'count', 12],
    ['50 cl', 'mL', 500],
    ['１２．５', 'cm', 12.5],
    ['١٢', 'cm', 12],
    ['۱۲', 'cm', 12],
  ]
  it.each(written)('reads %s in %s as %d', (text, unit, value) => {
    expect(readQuantity(text, { unit })).toMatchObject({ ok: true, value: expect.closeTo(value, 9), unit })
  })

  const refused: [string, UnitCode, string, number][] = [
    ['', 'cm', 'empty', 0],
    ['   ', 'cm', 'empty', 0],
    ['about 5', 'cm', 'not-a-number', 0],
    ['5 5', 'cm', 'not-a-number', 2],
    ['12.5.1', 'cm', 'not-a-number', 4],
    ['5..', 'cm', 'not-a-number', 1],
    ['+-5', 'cm', 'not-a-number', 1],
    ['1e5', 'cm', 'unknown-unit', 1],
    ['5 apples', 'cm', 'unknown-unit', 2],
    ['5 s', 'cm', 'wrong-kind-of-unit', 0],
    ['1:05', 'cm', 'wrong-kind-of-unit', 0],
    ['1:75', 's', 'part-too-big', 2],
    ['5 m 310', 'cm', 'part-too-big', 4],
    ['5 cm 1 m', 'cm', 'units-out-of-order', 5],
    ['5 m 3 s', 'cm', 'wrong-kind-of-unit', 4],
    ['1,250 g', 'g', 'comma-unclear', 1],
    ['3/0', 'cm', 'divided-by-nothing', 0],
    ['9'.repeat(61), 'cm', 'too-long', 60],
    ['NaN', 'cm', 'not-a-number', 0],
    ['--3', 'degC', 'not-a-number', 1],
  ]
  it.each(refused)('says what is wrong with “%s”', (text, unit, code, position) => {
    expect(readQuantity(text, { unit })).toEqual({ ok: false, code, position })
  })

  it('takes kitchen measures from the region', () => {
    const cup = (region: 'metric' | 'us' | 'uk') => readQuantity('1 cup', { unit: 'mL', region })
    expect(cup('metric')).toMatchObject({ value: 250 })
    expect(cup('us')).toMatchObject({ value: 236.58824 })
    expect(readQuantity('1 pint', { unit: 'mL', region: 'uk' })).toMatchObject({ value: 568.26125 })
  })
})
