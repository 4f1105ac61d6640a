import { describe, expect, it } from 'vitest'
import { soakUpPlan } from '../../test/soakUp'
import { isInDoubt, piecesCut, readAmount, readAmountOf, readPrice, sensible, turnInto } from '.'

describe('readAmount', () => {
  it.each([
    ['1 strip', { ok: true, value: 1, unit: 'pieces', whole: true }],
    ['2 tbsp', { ok: true, value: 2, unit: 'tbsp', whole: false }],
    ['1/2 cup', { ok: true, value: 0.5, unit: 'cup', whole: false }],
    ['200mL', { ok: true, value: 200, unit: 'mL', whole: false }],
    ['a pinch', { ok: true, value: 1, unit: 'pieces', whole: true }],
    ['12 x 4 cm', { ok: true, value: 1, unit: 'pieces', whole: true }],
    ['2 pencils', { ok: true, value: 2, unit: 'pieces', whole: true }],
    ['4 x 30 cm string', { ok: true, value: 120, unit: 'cm', whole: false }],
    ['2 x 1.5 m of cotton thread', { ok: true, value: 3, unit: 'm', whole: false }],
    ['2 x 12 x 18 cm', { ok: true, value: 2, unit: 'pieces', whole: true }],
    ['3 sheets of 10 cm x 20 cm', { ok: true, value: 3, unit: 'pieces', whole: true }],
    ['some', { ok: false, code: 'no-number', position: 0 }],
    ['-2', { ok: false, code: 'negative', position: 0 }],
    ['1e9', { ok: false, code: 'too-much', position: 0 }],
    ['1000000000', { ok: false, code: 'too-much', position: 0 }],
    ['', { ok: false, code: 'empty', position: 0 }],
  ])('reads “%s”', (text, amount) => expect(readAmount(text)).toEqual(amount))

  it.each([
    ['string', '3 x 25 cm', true],
    ['string', '1 x 25 cm', false],
    // One sheet of twelve by four.
    ['card', '12 x 4 cm', false],
    ['card', '2 x 12 x 4 cm', true],
    ['card', '6', false],
  ])('asks for whom it is only where there are several of it, %s: %s', (name, amount, asked) => {
    const [material] = soakUpPlan().materials
    expect(isInDoubt({ ...material!, name, amount, per: 'group', perSaid: false })).toBe(asked)
    expect(isInDoubt({ ...material!, name, amount, per: 'group', perSaid: true })).toBe(false)
  })

  it.each([
    ['string', '3 x 25 cm', { value: 75, unit: 'cm' }],
    ['card', '3 x 25 cm', { value: 1, unit: 'pieces' }],
    ['water', '8 oz', { value: 8, unit: 'fl-oz' }],
    ['clay', '8 oz', { value: 8, unit: 'oz' }],
    ['paper cups', '12 cups', { value: 12, unit: 'pieces' }],
    ['warm water', '12 cups', { value: 12, unit: 'cup' }],
  ])('reads what stands at %s: %s', (name, amount, read) => expect(readAmountOf({ name, amount })).toMatchObject(read))

  it.each([
    ['12 x 18 cm', '45 cm x 10 m', 166],
    ['12 x 18 cm', '30 x 42 cm', 4],
    ['3 x 18 cm', '5 sheets of A4', 45],
    ['5 x 10 in', '2 letter', 2],
    ['20 x 20 cm', '15 cm x 5 m', 0],
    ['12 x 18 cm', '2 x 30 x 42 cm', 8],
    ['12 x 18 cm', '40', undefined],
    ['2', '45 cm x 10 m', undefined],
  ])('“%s” out of “%s”', (piece, from, count) => expect(piecesCut(piece, from)).toBe(count))

  it('says where it stops understanding', () => expect(readAmount('2..5 g')).toMatchObject({ ok: false, code: 'not-a-number' }))
  it('reads prices with and without a sign', () => {
    expect([readPrice('£2,50'), readPrice('3')]).toEqual([
      { ok: true, value: 2.5 },
      { ok: true, value: 3 },
    ])
    expect(readPrice('cheap').ok).toBe(false)
  })
})

describe('amounts in other units', () => {
  it('never turn a volume into a mass without a density', () => {
    expect(turnInto(100, 'mL', 'g', null)).toBeUndefined()
    expect(turnInto(100, 'mL', 'g', 0.85)).toBe(85)
    expect(turnInto(1, 'kg', 'L', 0.8)).toBe(1.25)
    expect(turnInto(3, 'pieces', 'g', 1)).toBeUndefined()
  })
  it('are handy to measure', () => {
    expect(sensible(21, 'tbsp')).toEqual({ value: 315, unit: 'mL' })
    expect(sensible(2, 'tbsp')).toEqual({ value: 2, unit: 'tbsp' })
    expect(sensible(2100, 'mL')).toEqual({ value: 2.1, unit: 'L' })
  })
})
