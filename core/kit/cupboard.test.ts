import { faceOf } from '../lists'
import { describe, expect, it } from 'vitest'
import { soakUpPlan } from '../../test/soakUp'
import { newMaterial, type Material, type Plan } from '../lesson'
import {
  billOf,
  bookedOf,
  bookingsOf,
  likelyBack,
  likelyThing,
  needsOf,
  NO_SCHOOL,
  readCount,
  runningLow,
  stockChanges,
  USUAL_HELD,
  withField,
  type School,
  type Thing,
} from '.'

const thing = newMaterial('thing', 'thing')
const planOf = (change: Partial<Material>, more: Partial<Plan> = {}) =>
  soakUpPlan({ materials: [{ ...thing, ...change }], ...more })
const need = (change: Partial<Material>, more: Partial<Plan> = {}) => needsOf(planOf(change, more))[0]!

describe('the cupboard', () => {
  const nine: Thing = { id: 't', name: 'thermometer', unit: 'pieces', stock: 9, place: 'shelf 2', minimum: 8, pack: 5, price: 4 }
  const lesson = (id: string, date: string, change: Partial<Material> = {}) => ({
    id,
    plan: planOf({ thing: 't', use: 'again', ...change }, { date, title: id }),
  })
  const schoolFor = (asks: string, ...others: { id: string; plan: Plan }[]): School => ({
    ...NO_SCHOOL,
    things: [nine],
    lesson: asks,
    bookings: others.flatMap((one) => bookingsOf({ id: one.id, ...faceOf(one.plan) }, [nine], USUAL_HELD)),
  })

  it('does not lend the same thermometers to two lessons of one week', () => {
    const [monday, thursday] = [lesson('monday', '2026-03-09'), lesson('thursday', '2026-03-12')]
    const later = needsOf(thursday.plan, schoolFor('thursday', monday))[0]!
    expect(later.supply).toMatchObject({ stock: 2, place: 'shelf 2', price: 4 })
    expect(later.supply.taken.map(({ title }) => title)).toEqual(['monday'])
    expect(later).toMatchObject({ short: 5, packs: { count: 1, cost: 4 } })
    expect(needsOf(monday.plan, schoolFor('monday', thursday))[0]!.short).toBe(0)
    expect(needsOf(lesson('next', '2026-03-16').plan, schoolFor('next', monday))[0]!.short).toBe(0)
  })

  it('what is used up is gone for every later lesson', () => {
    const early = lesson('early', '2026-02-02', { use: 'up' })
    expect(needsOf(lesson('late', '2026-03-16', { use: 'up' }).plan, schoolFor('late', early))[0]!.supply.stock).toBe(2)
  })

  const jug: Thing = { ...nine, id: 'sugar', name: 'sugar', unit: 'kg', stock: 2 }
  const changes = (change: Partial<Material>, taken: number, back: number, broken: number) =>
    stockChanges(planOf(change), [nine, jug], [{ material: 'thing', taken, back, broken }]).map((one) => one.change)
  it('counts back: used again less what broke, used up less what came back, in the unit of the cupboard', () => {
    expect(changes({ thing: 't', use: 'again', amount: '1' }, 7, 6, 1)).toEqual([-1])
    expect(changes({ thing: 't', use: 'again', amount: '1' }, 7, 7, 0)).toEqual([0])
    expect(changes({ thing: 't', use: 'up', amount: '1' }, 31, 5, 0)).toEqual([-26])
    expect(changes({ thing: 'sugar', use: 'up', amount: '50 g' }, 350, 20, 0)).toEqual([-0.33])
    // Spoons of sugar weigh nothing until somebody says how much; a thing that is gone is left alone.
    expect(changes({ thing: 'sugar', use: 'up', amount: '2 tbsp' }, 14, 0, 0)).toEqual([])
    expect(changes({ thing: 'sugar', use: 'up', amount: '10 mL', density: 0.85 }, 100, 0, 0)).toEqual([-0.085])
    expect(changes({ thing: 'gone', amount: '1' }, 7, 6, 1)).toEqual([])
  })

  it('takes what is written into a cell, and refuses what cannot stand there', () => {
    expect(withField(nine, 'stock', ' 1,5 ')).toEqual({ ...nine, stock: 1.5 })
    expect(withField(nine, 'price', '£2,50')).toEqual({ ...nine, price: 2.5 })
    expect(withField(nine, 'unit', 'kg')).toEqual({ ...nine, unit: 'kg' })
    for (const field of ['minimum', 'pack', 'price'] as const)
      expect(withField(nine, field, '')).toEqual({ ...nine, [field]: null })
    for (const [field, text] of [
      ['stock', ''],
      ['stock', 'nine'],
      ['stock', '-1'],
      ['pack', '0'],
      ['price', '1e3'],
      ['name', '  '],
      ['unit', 'feet'],
    ] as const)
      expect(withField(nine, field, text), `${field} ${text}`).toBeUndefined()
  })

  it('adds up two materials that are the same thing, and expects back what can come back', () => {
    const materials = ['a', 'b'].map((id) => ({ ...thing, id, thing: 't', use: 'again' as const, amount: '1' }))
    const rows = materials.map(({ id }) => ({ material: id, taken: 3, back: 2, broken: 1 }))
    expect(stockChanges(soakUpPlan({ materials }), [nine], rows)).toEqual([{ thing: 't', change: -2, broken: 2 }])
    const strips = need({ per: 'trial', condition: 'card', spare: 0.1 })
    expect([likelyBack(strips, 'up', 0), likelyBack(strips, 'again', 2), likelyBack(strips, 'again', 40)]).toEqual([3, 29, 0])
  })

  it('finds a thing by its name and says what runs low', () => {
    expect(likelyThing('Thermometers', [nine])).toBe(nine)
    expect(likelyThing('', [nine])).toBeUndefined()
    for (const [many, one] of [
      ['tubes', 'tube'],
      ['glasses', 'glass'],
      ['glass', 'Glasses'],
      ['scales', 'scale'],
      ['dishes', 'dish'],
    ])
      expect([many, likelyThing(many!, [{ ...nine, name: one! }])?.name]).toEqual([many, one])
    expect(likelyThing('vans', [{ ...nine, name: 'vanes' }])).toBeUndefined()
    expect(runningLow([{ ...nine, stock: 2 }, nine])).toEqual({ low: [{ thing: { ...nine, stock: 2 }, packs: 2 }], cost: 8 })
  })

  it('shows of two bookings in one week which one goes short, and forgets none of what is used up', () => {
    const [monday, thursday, later] = [
      lesson('monday', '2026-03-09'),
      lesson('thursday', '2026-03-12'),
      lesson('later', '2026-04-20'),
    ]
    const booked = (...lessons: { id: string; plan: Plan }[]) =>
      bookedOf(nine, schoolFor('', ...lessons).bookings).map(({ lesson: id, short }) => [id, short])
    expect(booked(later, thursday, monday)).toEqual([
      ['monday', 0],
      ['thursday', 5],
      ['later', 0],
    ])
    expect(booked(lesson('early', '2026-02-02', { use: 'up' }), later)).toEqual([
      ['early', 0],
      ['later', 5],
    ])
  })

  it('adds up what buying costs, things without a price apart', () => {
    const materials = ['4', '', '2.50'].map((price, place) => ({
      ...{ ...thing, id: `m${place}`, amount: '10', per: 'class' as const },
      ...{ stock: '1', pack: place === 1 ? '' : '6', price },
    }))
    expect(billOf(needsOf(soakUpPlan({ materials })))).toEqual({ things: 3, cost: 13, unpriced: 1 })
    expect([readCount('1 250,5'), readCount('nine'), readCount('-1'), readCount('1e9'), readCount('')]).toEqual([
      1250.5,
      ...Array.from({ length: 4 }, () => undefined),
    ])
  })
})
