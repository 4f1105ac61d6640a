import type { Material, Plan } from '../lesson'
import type { KitchenRegion, UnitCode } from '../quantity'
import { bookedBefore, heldDays, inUnitOf, lastDayOf, orderOf, type Booking, type BookingsInOrder, type School } from './cupboard'
import { needsOf } from './needs'

/** What a lesson takes out of the cupboard, whatever stands in there: it follows from the plan alone. */
export interface Takes {
  /** Days after the lesson's own on which its things are still needed. */
  lastDay: number
  of: { thing: string; amount: number; unit: UnitCode; density: number | null; use: Material['use'] }[]
}

/** What the plan's materials that are things of the cupboard take. */
export function takesOf(plan: Plan): Takes {
  const linked = plan.materials.filter((material) => material.thing !== null)
  const needs = linked.length === 0 ? [] : needsOf({ ...plan, materials: linked })
  return {
    lastDay: lastDayOf(plan),
    of: needs.map(({ forClass, unit }, place) => {
      const { thing, density, use } = linked[place]!
      return { thing: thing!, amount: forClass, unit, density, use }
    }),
  }
}

/** A lesson with what it takes: nothing while it has no day. */
export interface Taking {
  id: string
  title: string
  date: string
  start: string
  takes: Takes
}

/** What a lesson takes out of the cupboard and when, in the units of the things. */
export function bookingsOf(
  { id, title, date, start, takes }: Taking,
  things: School['things'],
  held: School['held'],
  kitchen: KitchenRegion = 'metric',
): Booking[] {
  const days = heldDays({ date, lastDay: takes.lastDay }, held)
  if (!days) return []
  return takes.of.flatMap(({ thing: wanted, amount: value, unit, density, use }): Booking[] => {
    const thing = things.find((one) => one.id === wanted)
    const amount = thing && inUnitOf(thing, value, { unit, density, kitchen })
    return thing && amount !== undefined ? [{ thing: thing.id, lesson: id, title, date, start, ...days, amount, use }] : []
  })
}

/**
 * Of all bookings those that leave less for this lesson: of what it takes, what earlier lessons use up or hold in the same days.
 * `takenBefore` answers the same with these as with all.
 */
export function bookingsBefore(
  inOrder: BookingsInOrder,
  { id, date, start, takes }: Omit<Taking, 'title'>,
  held: School['held'],
): Booking[] {
  const own = heldDays({ date, lastDay: takes.lastDay }, held)
  if (!own) return []
  const order = orderOf(date, start, id)
  return [...new Set(takes.of.map(({ thing }) => thing))].flatMap((thing) => bookedBefore(inOrder, thing, order, own))
}
