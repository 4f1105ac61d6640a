import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { soakUpPlan } from '../../test/soakUp'
import { newMaterial, type Material, type Plan } from '../lesson'
import {
  billOf,
  bookedOf,
  bookingsOf,
  cautionsOf,
  cautionsSeen,
  doerOf,
  gettingReady,
  likelyBack,
  likelyThing,
  materialsFromPlan,
  needsOf,
  NO_SCHOOL,
  pasteMaterials,
  readAmount,
  readCount,
  readPrice,
  runningLow,
  sensible,
  stockChanges,
  turnInto,
  USUAL_HELD,
  withField,
  type School,
  type Thing,
} from '.'

const thing = newMaterial('thing', 'thing')
const planOf = (change: Partial<Material>, more: Partial<Plan> = {}) =>
  soakUpPlan({ materials: [{ ...thing, ...change }], ...more })
const need = (change: Partial<Material>, more: Partial<Plan> = {}) => needsOf(planOf(change, more))[0]!
const arranged = (way: Plan['arrangement']['way'], each = 2) => ({ arrangement: { ...soakUpPlan().arrangement, way, each } })

describe('readAmount', () => {
  it.each([
    ['1 strip', { ok: true, value: 1, unit: 'pieces', whole: true }],
    ['2 tbsp', { ok: true, value: 2, unit: 'tbsp', whole: false }],
    ['1/2 cup', { ok: true, value: 0.5, unit: 'cup', whole: false }],
    ['200mL', { ok: true, value: 200, unit: 'mL', whole: false }],
    ['a pinch', { ok: true, value: 1, unit: 'pieces', whole: true }],
    ['12 x 4 cm', { ok: true, value: 1, unit: 'pieces', whole: true }],
    ['some', { ok: false, code: 'no-number', position: 0 }],
    ['-2', { ok: false, code: 'negative', position: 0 }],
    ['1e9', { ok: false, code: 'too-much', position: 0 }],
    ['1000000000', { ok: false, code: 'too-much', position: 0 }],
    ['', { ok: false, code: 'empty', position: 0 }],
  ])('reads “%s”', (text, amount) => expect(readAmount(text)).toEqual(amount))

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
    bookings: others.flatMap((one) => bookingsOf(one, [nine], USUAL_HELD)),
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

describe('gettingReady', () => {
  const ready = (change: Partial<NonNullable<Material['preparation']>>, day: Partial<Plan> = {}) => {
    const preparation = { kind: 'cut' as const, words: '', minutes: 0, secondsEach: 0, hours: 0, ...change }
    const start = { ...soakUpPlan().clock, start: '10:30' }
    return gettingReady(
      planOf({ per: 'trial', condition: 'card', spare: 0.1, preparation }, { date: '2026-03-12', clock: start, ...day }),
    )
  }
  it('works backwards from the lesson, one thing after the other', () => {
    // 31 strips at 30 s are 16 minutes; packing seven trays takes 14 minutes more.
    expect(ready({ secondsEach: 30 }).map(({ kind, minutes, planned }) => [kind, minutes, planned])).toEqual([
      ['cut', 16, { day: '2026-03-12', time: '10:00' }],
      ['pack', 14, { day: '2026-03-12', time: '10:16' }],
    ])
  })
  it('keeps out of the night and off days without school', () => {
    const [frozen] = ready({ kind: 'freeze', minutes: 10, hours: 12 })
    expect(frozen).toMatchObject({ wanted: { day: '2026-03-11', time: '22:20' }, planned: { day: '2026-03-11', time: '20:50' } })
    const [monday] = ready({ kind: 'soak', minutes: 10, hours: 24 }, { date: '2026-03-09' })
    expect(monday).toMatchObject({
      wanted: { day: '2026-03-08' },
      planned: { day: '2026-03-06', time: '20:50' },
      moved: ['day-off'],
    })
  })
  it('has no times while the lesson has no day', () => {
    expect(ready({}, { date: '' }).every(({ planned }) => planned === undefined)).toBe(true)
  })
})

describe('cautionsOf', () => {
  const list = (plan: Plan) => cautionsOf(plan).map(({ caution, doer, acknowledged }) => [caution, doer, acknowledged])
  it('finds cautions in names and keeps those given by hand, with who does it', () => {
    const materials = [
      { ...thing, name: 'kettle of hot water' },
      { ...thing, id: 'b', name: 'rubber band', cautions: ['glass'] },
    ]
    expect(list(soakUpPlan({ materials, factors: [], cautionsAcknowledged: ['spill'] }))).toEqual([
      ['hot', 'adult-only', false],
      ['glass', 'adult-beside', false],
      ['latex', 'child', false],
      ['snapping', 'adult-beside', false],
      ['spill', 'child', true],
    ])
  })

  it('leaves guillotines and knives to adults, and scissors to children with one beside', () => {
    expect([doerOf('blade', 'Guillotine'), doerOf('blade', 'scissors'), doerOf('blade', 'scissors, bread knife')]).toEqual([
      'adult-only',
      'adult-beside',
      'adult-beside',
    ])
    const materials = [{ ...thing, name: 'guillotine' }]
    expect(list(soakUpPlan({ materials, factors: [] }))).toContainEqual(['blade', 'adult-only', false])
  })

  it.each<[string, Partial<Plan>, string[]]>([
    [
      'the conditions, as numbers',
      { conditionsAs: 'numbers', conditionUnit: 'degC', conditions: [{ id: 'h', label: '60', baseline: false, leftOut: false }] },
      ['conditions'],
    ],
    [
      'the conditions, as kinds',
      { conditions: [{ id: 'h', label: 'water at 60 °C', baseline: false, leftOut: false }] },
      ['conditions'],
    ],
    ['how it is done', { resetList: ['water back to 50 °C'] }, ['method']],
  ])('finds what is hotter than 45 °C in %s', (_, change, from) => {
    const plan = soakUpPlan({ materials: [], factors: [], ...change })
    expect(cautionsOf(plan).find(({ caution }) => caution === 'hot')).toMatchObject({ doer: 'adult-only', from })
  })
  it('40 °C is not hot', () => {
    expect(list(soakUpPlan({ materials: [], factors: [], resetList: ['at 40 °C'] }))).toEqual([['spill', 'child', false]])
  })

  it('never loses one: where it does not apply, the reason stands beside it', () => {
    const plan = soakUpPlan({ cautionsNotHere: { blade: 'cut at home' }, cautionsAcknowledged: ['spill'] })
    expect(cautionsOf(plan).find(({ caution }) => caution === 'blade')).toMatchObject({ notHere: 'cut at home' })
    expect(cautionsSeen(plan)).toBe(true)
    expect(cautionsSeen({ ...plan, ownCautions: [{ id: 'o', text: 'wet floor', doer: 'child', acknowledged: false }] })).toBe(false)
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
