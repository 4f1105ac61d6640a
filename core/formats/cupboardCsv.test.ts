import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { cupboardProblemWords } from '../wording'
import type { Thing } from '../kit'
import { readCupboardCsv, writeCupboardCsv } from '.'

const thing: Thing = { id: 't', name: 'floor cloth', unit: 'pieces', stock: 6, place: 'shelf 2', minimum: 4, pack: 2, price: 2.5 }
const problems = (text: string) => {
  const read = readCupboardCsv(text)
  return read.ok ? [] : read.problems.map(cupboardProblemWords)
}

describe('the cupboard as a table', () => {
  it('comes back as it went out, with names that a spreadsheet would take for sums', () => {
    const anyThing = fc.record({
      name: fc.constantFrom('scale', '=SUM(A1)', '-5 °C ice pack', 'a "quoted", thing', '@home'),
      unit: fc.constantFrom('pieces' as const, 'g' as const, 'mL' as const),
      stock: fc.integer({ min: 0, max: 9999 }),
      place: fc.constantFrom('', 'shelf 2', '+1st floor'),
      minimum: fc.option(fc.integer({ min: 0, max: 50 })),
      pack: fc.option(fc.integer({ min: 1, max: 50 })),
      price: fc.option(fc.integer({ min: 0, max: 9999 }).map((cents) => cents / 100)),
    })
    fc.assert(
      fc.property(fc.uniqueArray(anyThing, { minLength: 1, maxLength: 5, selector: ({ name }) => name }), (things) => {
        const read = readCupboardCsv(writeCupboardCsv(things.map((one) => ({ ...one, id: 'any' }))))
        expect(read).toEqual({ ok: true, things })
      }),
    )
  })

  it('takes semicolons and decimal commas, and leaves alone what it has no column for', () => {
    expect(readCupboardCsv('Stock;THING;price\n3;scale;4,20\n')).toEqual({
      ok: true,
      things: [{ name: 'scale', stock: 3, price: 4.2 }],
    })
    expect(readCupboardCsv('\uFEFFthing,stock\nscale,\n')).toEqual({ ok: true, things: [{ name: 'scale', stock: 0 }] })
  })

  it('takes nothing in when something is wrong, and says all of it with line and column', () => {
    expect(problems('name,count\nscale,3')).toEqual([
      'The heading lacks: thing, stock. It says: name, count. The columns are thing, unit, stock, place, minimum, pack, price; thing and stock have to be there.',
    ])
    expect(problems('thing,stock,unit\nscale,three,\n,2,\nScale,1,bushel')).toEqual([
      'Line 2, stock: “three” is not a number that fits.',
      'Line 3: the thing has no name.',
      'Line 4: “Scale” is there twice.',
      'Line 4, unit: “bushel” is not known. Write pieces, g, mL, cm or leave it empty.',
    ])
    expect(problems('thing,stock')).toEqual(['There are no rows under the heading.'])
    expect(problems('thing,stock\n"scale,3')).toEqual(['Line 2: a quotation mark is not closed.'])
    expect(problems(`thing,stock\n${'x,1\n'.repeat(1001)}`)).toEqual(['There are more than 1000 rows.'])
  })

  it('names its columns once', () => {
    expect(writeCupboardCsv([thing]).split(/\r?\n/).slice(0, 2)).toEqual([
      'thing,unit,stock,place,minimum,pack,price',
      'floor cloth,pieces,6,shelf 2,4,2,2.50',
    ])
  })
})
