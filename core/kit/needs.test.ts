import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { soakUpPlan } from '../../test/soakUp'
import { newMaterial, type Material, type Plan } from '../lesson'
import { materialsFromPlan, needsOf, pasteMaterials } from '.'

const planOf = (change: Partial<Material>, more: Partial<Plan> = {}) =>
  soakUpPlan({ materials: [{ ...thing, ...change }], ...more })
const thing = newMaterial('thing', 'thing')
const need = (change: Partial<Material>, more: Partial<Plan> = {}) => needsOf(planOf(change, more))[0]!
const arranged = (way: Plan['arrangement']['way'], each = 2) => ({ arrangement: { ...soakUpPlan().arrangement, way, each } })

describe('needsOf', () => {
  it('multiplies by trials, adds spares and rounds whole pieces up', () => {
    // 1 x (3 + 1) x 7 = 28, and one in ten spare: 30.8; 5 short are one pack of ten, and 5 are left over.
    const strips = need({ per: 'trial', condition: 'card', spare: 0.1, stock: '26', pack: '10', price: '1.20' })
    expect(strips).toMatchObject({ perTray: 4, forClass: 31, spare: 3, short: 5, packs: { count: 1, leftOver: 5, cost: 1.2 } })
    expect(need({ per: 'trial' }).forClass).toBe(112)
    expect(need({ per: 'trial', use: 'again' }).forClass).toBe(7)
  })

  it('multiplies by class, group, child and condition', () => {
    const amounts = (['class', 'group', 'child', 'condition'] as const).map((per) => need({ per, amount: '0.1 L' }).forClass)
    expect(amounts).toEqual([0.1, 0.7, 2.6, 2.8])
    expect(need({ per: 'class' }).perTray).toBeUndefined()
  })

  it('follows the arrangement', () => {
    // Two of four conditions each: 7 x 2 x (3 + 1).
    expect(need({ per: 'trial' }, arranged('share-out')).forClass).toBe(56)
    expect(Object.values(need({ per: 'trial', condition: 'card' }, arranged('share-out')).trays)).toContain(0)
    // One apparatus: 4 x (3 + 1) trials in the class, and one set of things used again.
    expect(need({ per: 'trial' }, arranged('together')).forClass).toBe(16)
    expect(need({ per: 'group', use: 'again' }, arranged('together')).forClass).toBe(1)
    // A circuit of four stations: things stay there.
    expect(need({ per: 'trial', use: 'again' }, arranged('circuit')).forClass).toBe(4)
  })

  it('counts what is in hands, what is drying, and what goes round', () => {
    // 2 min to dry, a trial lasts 105 s: two more are drying while one is in use.
    expect(need({ per: 'trial', use: 'again', rinse: 2 })).toMatchObject({
      perTray: 3,
      forClass: 21,
      atOnce: { used: 1, drying: 2 },
    })
    const beside = { clock: { ...soakUpPlan().clock, sideBySide: 2 } }
    expect(need({ per: 'trial', use: 'again' }, beside).forClass).toBe(14)
    expect(need({ use: 'again', goesRound: 3 })).toMatchObject({ forClass: 3, perTray: undefined })
  })

  it('reads stock and pack in their own units, and says where that cannot be', () => {
    expect(need({ amount: '2 tbsp', stock: '0.1 L', pack: '500 mL' })).toMatchObject({
      short: expect.closeTo(22 / 3, 9) as number,
      packs: { count: 1 },
    })
    expect(need({ amount: '2 tbsp', stock: '1 kg' }).supply.problems).toEqual([{ field: 'stock', code: 'density-missing' }])
    expect(need({ amount: '2 tbsp', stock: '1 kg', density: 0.85 }).supply.problems).toEqual([])
    expect(need({ amount: '3', pack: '1 m' }).supply.problems).toEqual([{ field: 'pack', code: 'other-unit' }])
    expect(need({ price: 'cheap', stock: '2..5' }).supply.problems.map(({ field }) => field)).toEqual(['price', 'stock'])
  })

  it('packs always cover the need with less than one pack over', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 500 }),
        fc.integer({ min: 0, max: 400 }),
        fc.integer({ min: 1, max: 60 }),
        (amount, stock, pack) => {
          const { forClass, short, packs } = need({
            per: 'class',
            amount: String(amount),
            stock: String(stock),
            pack: String(pack),
          })
          if (short === 0) return packs === undefined
          expect(stock + packs!.count * pack).toBeGreaterThanOrEqual(forClass)
          return packs!.leftOver < pack
        },
      ),
    )
  })
})

describe('the materials list', () => {
  it('is pasted into like a spreadsheet; what cannot be stays as it was and is named', () => {
    const plan = soakUpPlan({ materials: [thing] })
    const rows = [
      ['pipette', '2', 'each trial', 'used again', '10 %'],
      ['syrup', '2..5 g', 'sometimes', 'used up', '0'],
    ]
    const { plan: pasted, left } = pasteMaterials(plan, rows, { row: 0, column: 'name' }, () => 'new')
    expect(pasted.materials).toMatchObject([
      { id: 'thing', name: 'pipette', per: 'trial', use: 'again', spare: 0.1 },
      { id: 'new', name: 'syrup', amount: '2..5 g', per: 'group' },
    ])
    expect(left).toEqual([{ row: 1, column: 'per', text: 'sometimes' }])
  })

  it('is offered what the plan speaks of', () => {
    expect(materialsFromPlan(soakUpPlan({ materials: [] }), () => 'x').map(({ name, per }) => [name, per])).toEqual([
      ['ruler', 'group'],
      ['kitchen roll', 'trial'],
      ['tissue', 'trial'],
      ['writing paper', 'trial'],
      ['card', 'trial'],
    ])
    expect(materialsFromPlan(soakUpPlan(), () => 'x')).toEqual([])
  })
})

it('where the same thing comes again, each group has one of each condition and not one a trial', () => {
  const fresh = needsOf(soakUpPlan())[0]!
  const again = needsOf(soakUpPlan({ things: 'same' }))[0]!
  expect([fresh.times, again.times]).toEqual([28, 7])
  expect(Object.values(again.trays)).toEqual([1, 1, 1, 1, 1, 1, 1])
  const together = soakUpPlan({ things: 'same', arrangement: { ...soakUpPlan().arrangement, way: 'together' } })
  expect(needsOf(together)[0]!.times).toBe(1)
})
