import { needsOf, orderOfBooking, packsFor, turnInto, type Booking, type Need, type School, type Thing } from '../kit'
import type { Plan } from '../lesson'
import { unitOf, withoutNoise, type UnitCode } from '../quantity'

/** What a term's lessons need of one thing, all together. */
export interface TermNeed {
  name: string
  unit: UnitCode
  /** The most that is used up and in use at one time. */
  needed: number
  /** What the cupboard has; undefined where it does not list the thing. */
  there: number | undefined
  /** What is missing, with what lessons of others take first; 0 where nobody has counted it. */
  short: number
  packs: Need['packs']
  /** The lessons that need it, by title, the first one first. */
  lessons: string[]
}

/** A lesson of the term with its plan, where that is known here; what an older one takes stands among the bookings. */
export interface TermLesson {
  id: string
  title: string
  date: string
  plan?: Plan | undefined
}

/**
 * The most of a thing that is gone or in use when one of some lessons takes it: all that was used up until then, and what is held at
 * that time.
 * @param bookings of one thing, in any order
 * @example mostTaken(schoolWith(takingSeven('a', '2026-03-09'), takingSeven('b', '2026-03-11')).bookings, () => true) // => 14
 */
export function mostTaken(bookings: Booking[], counts: (booking: Booking) => boolean): number {
  let usedUp = 0
  let most = 0
  let held: Booking[] = []
  for (const booking of [...bookings].sort(orderOfBooking)) {
    held = held.filter(({ until }) => until >= booking.from)
    if (booking.use === 'up') usedUp += booking.amount
    else held.push(booking)
    if (counts(booking)) most = Math.max(most, usedUp + held.reduce((sum, { amount }) => sum + amount, 0))
  }
  return withoutNoise(most)
}

/**
 * What all lessons of a term need: of things in the cupboard with what is missing and how many packs to buy, of all others how much
 * there has to be. What is used up adds up; what is used again counts as often as it is held at one time.
 * @param bookings of all lessons up to the end of the term, those of the term among them
 * @returns by name, first what has to be bought
 * @example termNeeds([{ id: 'a', title: 'Soak-up', date: '2026-03-12', plan: soakUpPlan() }], [], { things: [] })[0]!.lessons // => ['Soak-up']
 */
export function termNeeds(lessons: TermLesson[], bookings: Booking[], { things }: Pick<School, 'things'>): TermNeed[] {
  const titles = new Map(lessons.map(({ id, title }) => [id, title]))
  const listed = things.flatMap((thing) => needOfThing(thing, bookings, titles) ?? [])
  const all = [...listed, ...unlisted(lessons)]
  return all.sort((a, b) => Number(b.short > 0) - Number(a.short > 0) || a.name.localeCompare(b.name))
}

function needOfThing(thing: Thing, bookings: Booking[], titles: Map<string, string>): TermNeed | undefined {
  const ofThing = bookings.filter((booking) => booking.thing === thing.id)
  const own = ofThing.filter(({ lesson }) => titles.has(lesson)).sort(orderOfBooking)
  if (own.length === 0) return undefined
  const needed = mostTaken(own, () => true)
  // Whoever of the others has a thing after one of these lessons is left short by them.
  const taken = mostTaken(ofThing, ({ date }) => date >= own[0]!.date)
  const short = Math.max(0, withoutNoise(taken - thing.stock))
  const supply = { pack: thing.pack ?? undefined, price: thing.price ?? undefined, stock: thing.stock }
  return {
    ...{ name: thing.name, unit: thing.unit, needed, there: thing.stock, short },
    packs: packsFor(short, taken, supply),
    lessons: [...new Set(own.map(({ lesson }) => titles.get(lesson)!))],
  }
}

/** What no thing of the cupboard stands for, put together by its name where its units can be. */
function unlisted(lessons: TermLesson[]): TermNeed[] {
  const byName = new Map<string, TermNeed>()
  for (const { title, plan } of lessons)
    for (const [place, { forClass, unit }] of (plan ? needsOf(plan) : []).entries()) {
      const { name, thing, use } = plan!.materials[place]!
      if (thing !== null || name.trim() === '') continue
      const key = `${name.trim().toLowerCase()} ${unitOf(unit).dimension}`
      const need = byName.get(key) ?? { name, unit, needed: 0, there: undefined, short: 0, packs: undefined, lessons: [] }
      const amount = turnInto(forClass, unit, need.unit, null) ?? forClass
      need.needed = use === 'up' ? withoutNoise(need.needed + amount) : Math.max(need.needed, amount)
      if (!need.lessons.includes(title)) need.lessons.push(title)
      byName.set(key, need)
    }
  return [...byName.values()]
}
