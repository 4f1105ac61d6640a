import { describe, expect, it } from 'vitest'
import { soakUpPlan } from '../../test/soakUp'
import { newMaterial, type Material } from '../lesson'
import { cautionsOf, needsOf, readAmount } from '.'

const thing = newMaterial('thing', 'thing')
const need = (change: Partial<Material>) => needsOf(soakUpPlan({ materials: [{ ...thing, ...change }] }))[0]!

describe('readAmount', () => {
  it.each([
    ['1 strip', { ok: true, value: 1, unit: 'pieces', whole: true }],
    ['2 tbsp', { ok: true, value: 2, unit: 'tbsp', whole: false }],
    ['1/2 cup', { ok: true, value: 0.5, unit: 'cup', whole: false }],
    ['200mL', { ok: true, value: 200, unit: 'mL', whole: false }],
    ['a pinch', { ok: true, value: 1, unit: 'pieces', whole: true }],
    ['some', { ok: false, code: 'empty', position: 0 }],
    ['-2', { ok: false, code: 'not-a-number', position: 0 }],
  ])('reads %s', (text, amount) => expect(readAmount(text)).toEqual(amount))
})

describe('needsOf', () => {
  it('multiplies by trials, adds spares and rounds whole pieces up', () => {
    // 1 x (3 + 1) x 7 = 28, and one in ten spare: 30.8.
    expect(need({ per: 'trial', condition: 'card', spare: 0.1, stock: 26, packSize: 10 })).toMatchObject({
      perTray: 4,
      forClass: 31,
      spare: 3,
      short: 5,
      packs: { count: 1, leftOver: 5 },
    })
    expect(need({ per: 'trial' }).forClass).toBe(112)
    expect(need({ per: 'trial', use: 'again' }).forClass).toBe(7)
  })

  it('multiplies by class, group, child and condition', () => {
    const amounts = (['class', 'group', 'child', 'condition'] as const).map((per) => need({ per, amount: '0.1 L' }).forClass)
    expect(amounts).toEqual([0.1, 0.7, 2.6, 2.8])
    expect(need({ per: 'class' }).perTray).toBeUndefined()
  })

  it('counts nothing twice for a condition that is left out', () => {
    const plan = soakUpPlan()
    plan.conditions[3]!.leftOut = true
    expect(needsOf(plan).find((one) => one.material === 'card-strips')!.forClass).toBe(0)
  })
})

describe('cautionsOf', () => {
  it('finds cautions in names and keeps those given by hand, with who does it', () => {
    const materials = [
      { ...thing, name: 'kettle of hot water' },
      { ...thing, id: 'b', name: 'rubber band', cautions: ['glass'] },
    ]
    expect(
      cautionsOf(soakUpPlan({ materials, cautionsAcknowledged: ['spill'] })).map(({ caution, doer, acknowledged }) => [
        caution,
        doer,
        acknowledged,
      ]),
    ).toEqual([
      ['hot-water', 'adult-only', false],
      ['glass', 'adult-beside', false],
      ['snapping', 'adult-beside', false],
      ['spill', 'child', true],
    ])
  })
})
