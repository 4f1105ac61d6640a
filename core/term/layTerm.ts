import type { Calendar } from '../clock'
import { bookedBefore, bookingsInOrder, bookingsOf, kitchenOf, takesOf, type Booking, type School, type Takes } from '../kit'
import { type Kind, type Plan, type Topic } from '../lesson'
import { daysOfReading } from '../test'
import { withoutNoise } from '../quantity'
import { occasionsOf, type Occasion } from './occasions'
import { startIn, weeksOf, type SchoolWeek, type Start } from './weeks'

/** A lesson to begin from that could be laid into a week. */
export interface Candidate {
  id: string
  title: string
  kind: Kind
  topic: Topic
  takes: Takes
  /** Days after the first on which it is read; `[0]` where it takes one lesson. */
  times: number[]
  practises: Occasion[]
}

/**
 * A plan as something that could be laid.
 * @example candidateOf('soak-up-strips', soakUpPlan(), 'materials').times // => [0]
 */
export function candidateOf(id: string, plan: Plan, topic: Topic): Candidate {
  const { title, kind } = plan
  return { id, title, kind, topic, takes: takesOf(plan), times: daysOfReading(plan), practises: occasionsOf(plan) }
}

/** A lesson that the class already has in this term. */
export interface Standing {
  id: string
  title: string
  date: string
  kind: Kind
  topic?: Topic | undefined
  practises: Occasion[]
}

export interface TermAsk {
  from: string
  to: string
  /** The class's weekday for this, 0 for Monday; null where any day will do. */
  weekday: number | null
  /** One lesson in so many school weeks. */
  every: number
  /** What was chosen by hand for a week, by its Monday; null leaves it free. */
  chosen: Record<string, string | null>
}

/** What goes into a week. */
export interface LaidLesson extends Start {
  candidate: string
  practises: Occasion[]
  byHand: boolean
  /** What the class practises here for the first time. */
  fresh: Occasion[]
  /** Names of things that are missing then, and whether other lessons have them or there are too few. */
  short: { thing: string; why: 'taken' | 'too-few' }[]
}

export interface TermWeek {
  week: SchoolWeek
  standing: Standing[]
  laid: LaidLesson | undefined
  /** A lesson could be here, whether one is or not. */
  isOpen: boolean
}

/** All that a term is laid with. */
export interface TermGround {
  candidates: Candidate[]
  standing: Standing[]
  /** What the class has practised before the term, each as often as it did. */
  practised: Occasion[]
  calendar: Calendar
  school: Pick<School, 'things' | 'bookings' | 'held' | 'customs'>
}

/** Worth of practising something for the first, second, third time; after that hardly anything. */
const WORTH = [1, 0.3, 0.1]
const WORTH_LATER = 0.03
/** What speaks against an arrangement, in things practised for the first time. */
const COSTS = { readingLost: 0.8, taken: 1, tooFew: 0.15, sameTopicNext: 0.3, sameKindNext: 0.3 }
/** What is practised sooner is worth a little more, so that first times come early. */
const SOONER = 0.02

/**
 * Lays lessons into the weeks of a term so that days, things and skills fit: first times of skills, kinds and measurements count most,
 * readings that fall on days off and things that others hold at that time cost, neighbours differ in topic and kind. What was chosen by
 * hand stays. Begun by taking the best for one week after the other, then mended by exchanging for as long as that helps.
 * @returns every week of the term in order
 * @example layTerm({ from: '2026-03-09', to: '2026-03-29', weekday: null, every: 2, chosen: {} },
 *   { candidates: [], standing: [], practised: [], calendar: USUAL_CALENDAR, school: NO_SCHOOL }).map(({ isOpen }) => isOpen) // => [true, false, true]
 */
export function layTerm(ask: TermAsk, ground: TermGround): TermWeek[] {
  const weeks = weeksOf(ground.calendar, ask.from, ask.to)
  const standingIn = weeks.map(({ from, to }) => ground.standing.filter(({ date }) => from <= date && date <= to))
  const open = openWeeks(weeks, standingIn, ask)
  const scales = scalesOf({ ask, ground, weeks, standingIn })
  const laid = mended(firstLaid(weeks, open, ask, ground, scales), open, ask, ground, weeks, scales)
  const known = new Set(ground.practised)
  return weeks.map((week, place) => {
    const base = { week, standing: standingIn[place]!, isOpen: open[place]! }
    for (const { practises } of base.standing) for (const one of practises) known.add(one)
    const candidate = laid[place]
    if (!candidate) return { ...base, laid: undefined }
    const fresh = candidate.practises.filter((one) => !known.has(one))
    for (const one of fresh) known.add(one)
    const byHand = ask.chosen[week.from] !== undefined
    const short = scales.shortIn(laid).filter((one) => one.place === place)
    return {
      ...base,
      laid: {
        ...scales.startOf(place, candidate)!,
        ...{ candidate: candidate.id, practises: candidate.practises, byHand, fresh },
        short: short.map(({ thing, why }) => ({ thing: ground.school.things.find(({ id }) => id === thing)!.name, why })),
      },
    }
  })
}

/** Days on which hardly any school is open, whatever its calendar says or leaves out. */
const LAST_OF_DECEMBER = /-12-(?:2[5-9]|3[01])$/
/** So many of them in a week leave it out. */
const MOST_LAST = 2

/** The weeks that have such a lesson: every so many school weeks after the last one, never the last of December, and those that were chosen by hand. */
function openWeeks(weeks: SchoolWeek[], standingIn: Standing[][], { every, chosen }: TermAsk): boolean[] {
  let since = every
  return weeks.map(({ from, open }, place) => {
    if (open.length === 0) return false
    const isLast = open.filter((day) => LAST_OF_DECEMBER.test(day)).length > MOST_LAST
    if (isLast && typeof chosen[from] !== 'string') return false
    const isTaken = standingIn[place]!.length > 0
    const due = since >= every || typeof chosen[from] === 'string'
    since = isTaken || due ? 1 : since + 1
    return due && !isTaken
  })
}

/** What lies in each week. */
type Laid = (Candidate | undefined)[]

interface Scales {
  startOf: (place: number, candidate: Candidate) => Start | undefined
  shortIn: (laid: Laid) => { place: number; thing: string; why: 'taken' | 'too-few' }[]
  worth: (laid: Laid) => number
}

/** Everything that a term is weighed by, with what stays the same through hundreds of tries worked out once. */
function scalesOf({
  ask,
  ground,
  weeks,
  standingIn,
}: {
  ask: TermAsk
  ground: TermGround
  weeks: SchoolWeek[]
  standingIn: Standing[][]
}): Scales {
  const { things, held, customs, bookings } = ground.school
  const wanted = new Set(ground.candidates.flatMap(({ takes }) => takes.of.map(({ thing }) => thing)))
  const others = bookings.filter(
    ({ thing, use, date, until }) => wanted.has(thing) && date <= ask.to && (use === 'up' || until >= ask.from),
  )
  const byId = new Map(things.map((thing) => [thing.id, thing]))
  const before = new Map<Occasion, number>()
  for (const one of [...ground.practised, ...ground.standing.flatMap(({ practises }) => practises)])
    before.set(one, (before.get(one) ?? 0) + 1)

  const startOf = oncePerPlace((place: number, { times }: Candidate) => startIn(ground.calendar, weeks[place]!, times, ask.weekday))
  const bookingsAt = oncePerPlace((place: number, candidate: Candidate) => {
    const date = startOf(place, candidate)?.day ?? ''
    return bookingsOf({ ...candidate, date, start: '' }, things, held, kitchenOf(customs))
  })

  // Whoever stood there first takes first, whatever its day.
  const everybodyElse = bookingsInOrder(others)
  function shortIn(laid: Laid) {
    const before: Booking[] = []
    return laid.flatMap((candidate, place) => {
      const own = candidate ? bookingsAt(place, candidate) : []
      const short = own.flatMap((booking) => {
        const { thing, from, until, amount, use } = booking
        const earlier = before.filter((one) => one.thing === thing && (one.use === 'up' || one.until >= from))
        const taken = [...bookedBefore(everybodyElse, thing, LAST, { from, until }), ...earlier]
        const { stock } = byId.get(thing)!
        const left = stock - taken.reduce((sum, one) => sum + one.amount, 0)
        if (withoutNoise(amount - Math.max(0, left)) <= 0) return []
        return [{ place, thing, why: use === 'again' && amount <= stock ? ('taken' as const) : ('too-few' as const) }]
      })
      before.push(...own)
      return short
    })
  }

  function worth(laid: Laid): number {
    const times = new Map(before)
    let sum = 0
    for (const [place, candidate] of laid.entries()) {
      if (!candidate) continue
      for (const one of candidate.practises) {
        const already = times.get(one) ?? 0
        times.set(one, already + 1)
        sum += (WORTH[already] ?? WORTH_LATER) + (already === 0 ? (SOONER * (laid.length - place)) / laid.length : 0)
      }
      sum -= COSTS.readingLost * (startOf(place, candidate)?.lost ?? 0)
    }
    for (const [one, next] of neighboursIn(laid, standingIn)) {
      if (one.topic === next.topic) sum -= COSTS.sameTopicNext
      if (one.kind === next.kind) sum -= COSTS.sameKindNext
    }
    for (const { why } of shortIn(laid)) sum -= why === 'taken' ? COSTS.taken : COSTS.tooFew
    return sum
  }

  return { startOf, shortIn, worth }
}

/** After every lesson that there is. */
const LAST = '\uffff'

/** Every lesson of the term with the one after it, those that stand already among them. */
function neighboursIn(
  laid: Laid,
  standingIn: Standing[][],
): [Pick<Standing, 'kind' | 'topic'>, Pick<Standing, 'kind' | 'topic'>][] {
  const inOrder = laid.flatMap((candidate, place) => [...standingIn[place]!, ...(candidate ? [candidate] : [])])
  return inOrder.slice(1).map((next, place) => [inOrder[place]!, next])
}

/** Week after week the best of what is left; what was chosen by hand lies there from the start. */
function firstLaid(weeks: SchoolWeek[], open: boolean[], { chosen }: TermAsk, { candidates }: TermGround, { worth }: Scales): Laid {
  const laid: Laid = weeks.map(({ from }, place) => (open[place] ? candidates.find(({ id }) => id === chosen[from]) : undefined))
  for (const [place, { from }] of weeks.entries()) {
    if (!open[place] || chosen[from] !== undefined) continue
    laid[place] = bestOf(unused(candidates, laid), (candidate) => worth(laid.with(place, candidate)))
  }
  return laid
}

const unused = (candidates: Candidate[], laid: Laid) => candidates.filter((one) => !laid.includes(one))

/** The one that is worth most, the first of several. */
function bestOf<One>(all: One[], worth: (one: One) => number): One | undefined {
  let best: { one: One; worth: number } | undefined
  for (const one of all) {
    const its = worth(one)
    if (!best || its > best.worth + 1e-9) best = { one, worth: its }
  }
  return best?.one
}

const MOST_ROUNDS = 4

/** Exchanges two weeks, or one lesson for another that is left, for as long as that makes the term better. */
function mended(
  begun: Laid,
  open: boolean[],
  { chosen }: TermAsk,
  { candidates }: TermGround,
  weeks: SchoolWeek[],
  { worth }: Scales,
): Laid {
  const free = weeks.flatMap(({ from }, place) => (open[place] && chosen[from] === undefined ? [place] : []))
  let [laid, best] = [begun, worth(begun)]
  for (let round = 0; round < MOST_ROUNDS; round += 1) {
    const before = best
    for (const place of free) {
      const exchanged = free.filter((other) => other > place).map((other) => laid.with(place, laid[other]).with(other, laid[place]))
      const replaced = unused(candidates, laid).map((one) => laid.with(place, one))
      for (const tried of [...exchanged, ...replaced]) {
        const its = worth(tried)
        if (its > best + 1e-9) [laid, best] = [tried, its]
      }
    }
    if (best === before) break
  }
  return laid
}

function oncePerPlace<Answer>(
  work: (place: number, candidate: Candidate) => Answer,
): (place: number, candidate: Candidate) => Answer {
  const known = new Map<string, Answer>()
  return (place, candidate) => {
    const key = `${place} ${candidate.id}`
    if (!known.has(key)) known.set(key, work(place, candidate))
    return known.get(key)!
  }
}
