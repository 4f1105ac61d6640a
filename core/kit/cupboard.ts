import { oncePer } from '../chance'
import { dayAfter, USUAL_CALENDAR, type Calendar } from '../clock'
import { type Material, type Plan } from '../lesson'
import { daysOfReading } from '../test'
import { NUMBER_UNITS, withoutNoise, type KitchenRegion, type UnitCode } from '../quantity'
import { readCount, readPrice, turnInto } from './amount'
import { USUAL_CUSTOMS, type Customs } from './customs'

/** A thing in the school's cupboard, counted in its own unit. */
export interface Thing {
  id: string
  name: string
  unit: UnitCode
  stock: number
  place: string
  /** Fewer than this is worth buying more; null when nobody said. */
  minimum: number | null
  pack: number | null
  price: number | null
}

/** The columns of the cupboard's table. */
export const THING_FIELDS = ['name', 'stock', 'unit', 'place', 'minimum', 'pack', 'price'] as const
export type ThingField = (typeof THING_FIELDS)[number]

/**
 * A thing with one of its cells written anew. Minimum, pack and price can be empty.
 * @returns undefined where the text cannot stand there
 * @example withField(thermometers, 'stock', '1,5')!.stock // => 1.5
 */
export function withField(thing: Thing, field: ThingField, text: string): Thing | undefined {
  const written = text.trim()
  if (field === 'place') return { ...thing, place: written }
  if (field === 'name') return written === '' ? undefined : { ...thing, name: written }
  if (field === 'unit') {
    const unit = NUMBER_UNITS.find((one) => one === written)
    return unit && { ...thing, unit }
  }
  if (written === '' && field !== 'stock') return { ...thing, [field]: null }
  const price = field === 'price' ? readPrice(written) : undefined
  const value = price ? (price.ok ? price.value : undefined) : readCount(written)
  return value === undefined || (field === 'pack' && value === 0) ? undefined : { ...thing, [field]: value }
}

/** What another lesson takes out of the cupboard, and from when until when. */
export interface Booking {
  thing: string
  lesson: string
  title: string
  /** The lesson's day and start, which decide who comes first. */
  date: string
  start: string
  from: string
  until: string
  amount: number
  use: Material['use']
}

/** What a lesson needs to know of its school: the cupboard, who else has booked it, and when there is school. */
export interface School {
  things: Thing[]
  bookings: Booking[]
  calendar: Calendar
  /** The lesson that asks; it has its place among the bookings. */
  lesson: string
  /** Things that are used again are held from so many days before a lesson until so many after. */
  held: { before: number; after: number }
  customs: Customs
}

/** Long enough that two lessons in one week do not count on the same things. */
export const USUAL_HELD = { before: 3, after: 1 }

export const NO_SCHOOL: School = {
  things: [],
  bookings: [],
  calendar: USUAL_CALENDAR,
  lesson: '',
  held: USUAL_HELD,
  customs: USUAL_CUSTOMS,
}

/** From when until when a lesson holds what it uses again; undefined while it has no day. */
export function heldDays(
  { date, lastDay }: { date: string; lastDay: number },
  held: School['held'],
): { from: string; until: string } | undefined {
  return date === '' ? undefined : { from: dayAfter(date, -held.before), until: dayAfter(date, Math.ceil(lastDay) + held.after) }
}

/** How many days after the first a plan still needs its things. */
export function lastDayOf(plan: Pick<Plan, 'kind' | 'watch'>): number {
  return Math.max(0, ...daysOfReading(plan))
}

/**
 * Who takes how much of a thing before this lesson can: of what is used up every earlier lesson that has not been counted back,
 * of what is used again the earlier lessons that hold it in the same days.
 */
export function takenBefore(thing: Thing, plan: Plan, school: School): Booking[] {
  const own = heldDays({ date: plan.date, lastDay: lastDayOf(plan) }, school.held)
  if (!own) return []
  const before = bookedBefore(inOrderOf(school.bookings), thing.id, orderOf(plan.date, plan.clock.start, school.lesson), own)
  return before.filter(({ lesson }) => lesson !== school.lesson)
}

/** Of a thing's bookings those of lessons that come earlier and use it up, or hold it in the same days. */
export function bookedBefore(
  inOrder: BookingsInOrder,
  thing: string,
  order: string,
  own: { from: string; until: string },
): Booking[] {
  const before: Booking[] = []
  for (const { order: earlier, booking } of inOrder.get(thing) ?? []) {
    if (earlier >= order) break
    if (booking.use === 'up' || (booking.from <= own.until && booking.until >= own.from)) before.push(booking)
  }
  return before
}

/** The bookings of each thing, those of the earlier lessons first. */
export type BookingsInOrder = Map<string, { order: string; booking: Booking }[]>

/** Puts bookings in the order in which lessons may take, once for many lessons that ask. */
export function bookingsInOrder(bookings: Booking[]): BookingsInOrder {
  const byThing: BookingsInOrder = new Map()
  for (const booking of bookings) {
    const entry = { order: orderOf(booking.date, booking.start, booking.lesson), booking }
    const list = byThing.get(booking.thing)
    if (list) list.push(entry)
    else byThing.set(booking.thing, [entry])
  }
  for (const list of byThing.values()) list.sort((a, b) => (a.order < b.order ? -1 : 1))
  return byThing
}

const inOrderOf = oncePer(bookingsInOrder)

/** Who comes first: by day, start and, where these are the same, by name. */
export function orderOf(date: string, start: string, lesson: string): string {
  return `${date} ${start} ${lesson}`
}

/** Which of two bookings comes first, to sort them. */
export function orderOfBooking(a: Booking, b: Booking): number {
  return orderOf(a.date, a.start, a.lesson) < orderOf(b.date, b.start, b.lesson) ? -1 : 1
}

/**
 * What is left of a thing for this lesson, in the thing's own unit; never below nothing.
 * @example freeOf(thermometers, { ...plan, date: '2026-03-12' }, schoolWith(takingSeven('earlier', '2026-03-10'))) // => 2
 */
export function freeOf(thing: Thing, plan: Plan, school: School): number {
  const taken = takenBefore(thing, plan, school).reduce((sum, { amount }) => sum + amount, 0)
  return Math.max(0, withoutNoise(thing.stock - taken))
}

/**
 * Who has booked a thing, the first lesson first, and how much of it will be missing there: those before it take theirs.
 * @example bookedOf(thermometers, schoolWith(takingSeven('a', '2026-03-09'), takingSeven('b', '2026-03-11')).bookings).map(({ short }) => short)
 *   // => [0, 5]
 */
export function bookedOf(thing: Thing, bookings: Booking[]): Booked[] {
  const own = bookings.filter((booking) => booking.thing === thing.id)
  own.sort(orderOfBooking)
  let usedUp = 0
  let held: Booking[] = []
  return own.map((booking) => {
    // What was brought back before this one is there for all that come later, too.
    held = held.filter(({ until }) => until >= booking.from)
    const away = held.filter(({ from }) => from <= booking.until).reduce((sum, { amount }) => sum + amount, 0)
    const short = Math.max(0, booking.amount - Math.max(0, thing.stock - usedUp - away))
    if (booking.use === 'up') usedUp += booking.amount
    else held.push(booking)
    return { ...booking, short: withoutNoise(short) }
  })
}

export type Booked = Booking & { short: number }

const NEXT = 3
const MOST_SHOWN = 6

/**
 * Of a thing's bookings those to look at now: the next three from today on, and the next ones that fall short; and how many
 * others there are.
 * @example bookedSoon(bookedOf(thermometers, schoolWith(takingSeven('a', '2026-03-09'), takingSeven('b', '2026-03-11')).bookings), '2026-03-10')
 *   // => { soon: [{ lesson: 'b', short: 5, … }], others: 1 }
 */
export function bookedSoon(booked: Booked[], today: string): { soon: Booked[]; others: number } {
  const coming = booked.filter(({ date }) => date >= today)
  const soon = coming.filter(({ short }, place) => place < NEXT || short > 0).slice(0, MOST_SHOWN)
  return { soon, others: booked.length - soon.length }
}

/** The thing that a material most likely is: the same name, whatever its case or number. `likelyThing('Thermometers', things)` */
export function likelyThing(name: string, things: Thing[]): Thing | undefined {
  const wanted = numbersOf(name)
  return wanted.length === 0 ? undefined : things.find((thing) => numbersOf(thing.name).some((form) => wanted.includes(form)))
}

/** A name as it is and without what could make it several: "glass" of "glasses", "vane" of "vanes". */
function numbersOf(name: string): string[] {
  const plain = name
    .toLowerCase()
    .replace(/[^a-z0-9 ]/g, ' ')
    .trim()
  return plain === '' ? [] : [plain, plain.replace(/s$/, ''), plain.replace(/(?<=s|x|z|ch|sh|o)es$/, '')]
}

/** The plan with its materials taken from the cupboard wherever a thing there has the same name; the same plan where none has. */
export function withThings(plan: Plan, things: Thing[]): Plan {
  const named = new Set(naming(plan, things))
  if (named.size === 0) return plan
  const materials = plan.materials.map((material) =>
    named.has(material.id) ? { ...material, thing: likelyThing(material.name, things)!.id } : material,
  )
  return { ...plan, materials }
}

/**
 * Has a thing come into the cupboard, or got its name, since it was like this: then lessons that name it can be counted on it. Of what there is none yet nobody
 * knows whether it is short.
 * @example isNowThere(thermometers, { ...thermometers, stock: 0 }) // => true
 */
export function isNowThere(thing: Thing, before: Thing | undefined): boolean {
  return thing.stock > 0 && (before === undefined || before.stock === 0 || before.name !== thing.name)
}

/** The materials that name a thing of the cupboard and are not taken from it yet, by id. */
export function naming(plan: Plan, things: Thing[]): string[] {
  return plan.materials.flatMap(({ id, name, thing }) => (thing === null && likelyThing(name, things) ? [id] : []))
}

/** The plan with these materials on their own again, as far as they are still taken from these things. */
export function withoutThings(plan: Plan, materials: string[], things: string[]): Plan {
  const isOf = ({ id, thing }: Material) => materials.includes(id) && thing !== null && things.includes(thing)
  return { ...plan, materials: plan.materials.map((one) => (isOf(one) ? { ...one, thing: null } : one)) }
}

/** What has fallen below its minimum, with how many packs bring it back and what these cost. */
export function runningLow(things: Thing[]): { low: { thing: Thing; packs: number | undefined }[]; cost: number } {
  const low = things
    .filter(({ stock, minimum }) => minimum !== null && stock < minimum)
    .map((thing) => ({
      thing,
      packs: thing.pack ? Math.ceil(withoutNoise((thing.minimum! - thing.stock) / thing.pack)) : undefined,
    }))
  return { low, cost: withoutNoise(low.reduce((sum, { thing, packs }) => sum + (packs ?? 0) * (thing.price ?? 0), 0)) }
}

/** An amount of a material in the unit of its thing; undefined where they measure different things. */
export function inUnitOf(
  thing: Thing,
  value: number,
  { unit, density, kitchen }: { unit: UnitCode; density: number | null; kitchen: KitchenRegion },
): number | undefined {
  return turnInto(value, unit, thing.unit, density, kitchen)
}

/** The columns of a cupboard as a table. */
export const CUPBOARD_COLUMNS = ['thing', 'unit', 'stock', 'place', 'minimum', 'pack', 'price'] as const
