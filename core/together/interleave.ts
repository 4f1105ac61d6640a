import { seededRandom } from '../chance'

/** Hands are busy from so many seconds after a trial's start, for so many seconds. */
export interface Busy {
  after: number
  hands: number
}

/** One trial: who does it, what stands there for it, when it needs hands, and how long clearing it away takes. */
export interface TimedTrial {
  id: string
  /** Who has hands for it. */
  crew: number
  /** What it occupies from its start until it is cleared away, one of each. */
  things: number[]
  /** Fixed from its start: setting up, every reading. Between them it waits by itself. */
  busy: Busy[]
  /** Hands for clearing away, at any time after the last reading. */
  clear: number
}

export interface InterleaveAsk {
  trials: TimedTrial[]
  crews: number
  /** How many there are of each thing. */
  copies: number[]
}

export interface PlacedTrial {
  id: string
  start: number
  /** When clearing away begins. */
  clears: number
  end: number
}

export interface Interleaving {
  placed: PlacedTrial[]
  /** Seconds until everything is cleared away. */
  finish: number
  /** No timetable can end sooner. */
  bound: number
}

interface Span {
  from: number
  to: number
}

/** How many of a row's trials are taken out and put in again at one go. */
const TAKEN_OUT = 0.25
const MOST_TAKEN_OUT = 6
const FIRST_ORDERS = 24
const CHANCE_IN_RANK = 0.3

/**
 * A timetable that uses the waiting of one trial for the hands of another: each trial in some order takes the soonest start at which its crew has hands for
 * every part of it and its things are there; then part of the order is taken out and put in again elsewhere for as long as time is left (iterated greedy).
 * Nobody is in two places, and no thing in two hands.
 * @param goesOn told how many orders were tried; ends the search where it says so
 * @example interleave({ trials: [{ id: 'a', crew: 0, things: [], busy: [{ after: 0, hands: 10 }, { after: 40, hands: 10 }], clear: 0 }], crews: 1, copies: [] }, (tried) => tried < 1).finish // => 50
 */
export function interleave(ask: InterleaveAsk, goesOn: (tried: number) => boolean, seed = 1): Interleaving {
  const random = seededRandom(seed)
  const bound = soonestEnd(ask)
  let tried = 0
  let order = ask.trials.map((_, place) => place)
  let best = place(ask, order)
  const isDone = () => best.finish <= bound || !goesOn(tried)
  for (const rank of firstRanks(ask, random)) {
    if (isDone()) break
    const ranked = ask.trials.map((_, at) => at).sort((a, b) => rank[b]! - rank[a]!)
    const found = place(ask, ranked)
    tried += 1
    if (found.finish >= best.finish) continue
    best = found
    order = ranked
  }
  let now = best
  while (!isDone()) {
    const changed = reordered(order, random)
    const found = place(ask, changed)
    tried += 1
    if (found.finish > now.finish) continue
    now = found
    order = changed
    if (found.finish < best.finish) best = found
  }
  return { ...best, bound }
}

/**
 * No timetable ends sooner than any of these: the longest trial; all hands of a crew, with the first wait that nothing can be read before, or the last one that
 * nothing can be set up in; what a thing is held for in all, shared among its copies.
 * @example soonestEnd({ trials: [{ id: 'a', crew: 0, things: [0], busy: [{ after: 0, hands: 10 }], clear: 5 }], crews: 1, copies: [1] }) // => 15
 */
export function soonestEnd({ trials, crews, copies }: InterleaveAsk): number {
  const ofCrews = Array.from({ length: crews }, (_, crew) => crewBound(trials.filter((trial) => trial.crew === crew)))
  const ofThings = copies.map((count, thing) => {
    const held = trials.filter(({ things }) => things.includes(thing)).map(lengthOf)
    return sum(held) / Math.max(1, count)
  })
  return Math.max(0, ...trials.map(lengthOf), ...ofCrews, ...ofThings)
}

function crewBound(trials: TimedTrial[]): number {
  if (trials.length === 0) return 0
  const all = sum(trials.map(handsOf))
  const first = sum(trials.map(({ busy }) => busy[0]?.hands ?? 0))
  // Before the first reading there is nothing to do but to set up, and after the last set-up nothing but to read and clear away.
  const soonestReading = Math.min(...trials.map(({ busy }) => busy[1]?.after ?? busy[0]?.hands ?? 0))
  const shortestRest = Math.min(...trials.map((trial) => lengthOf(trial) - (trial.busy[0]?.hands ?? 0)))
  return Math.max(all, soonestReading + all - first, first + shortestRest)
}

/** From its start until it is cleared away, where nobody keeps it waiting. */
function lengthOf({ busy, clear }: TimedTrial): number {
  const last = busy.at(-1)
  return (last ? last.after + last.hands : 0) + clear
}

/** For how many seconds hands are needed. */
function handsOf({ busy, clear }: TimedTrial): number {
  return sum(busy.map(({ hands }) => hands)) + clear
}

function sum(values: number[]): number {
  return values.reduce((total, value) => total + value, 0)
}

/** Which trials go first: those of a busy thing in turns with those of others, the longest ones, both; and chance among them. */
function firstRanks({ trials, copies }: InterleaveAsk, random: () => number): number[][] {
  const length = trials.map(lengthOf)
  const left = copies.map((count, thing) => sum(length.filter((_, at) => trials[at]!.things.includes(thing))) / Math.max(1, count))
  const turns = trials.map(({ things }, at) => {
    const [thing] = things
    if (thing === undefined) return length[at]!
    const rank = left[thing]!
    left[thing] = rank - length[at]! / Math.max(1, copies[thing]!)
    return rank
  })
  const most = Math.max(1, ...length, ...turns)
  const fixed = [turns, length, length.map((seconds, at) => seconds + turns[at]!)]
  const drawn = Array.from({ length: FIRST_ORDERS }, (_, turn) =>
    fixed[turn % fixed.length]!.map((rank) => rank + random() * most * CHANCE_IN_RANK),
  )
  return [...fixed, ...drawn]
}

/** Some are taken out, and put in again somewhere else. */
function reordered(order: number[], random: () => number): number[] {
  const changed = [...order]
  const count = Math.max(1, Math.floor(1 + random() * Math.min(MOST_TAKEN_OUT, order.length * TAKEN_OUT)))
  for (let turn = 0; turn < count; turn += 1) {
    const [one] = changed.splice(Math.floor(random() * changed.length), 1)
    changed.splice(Math.floor(random() * (changed.length + 1)), 0, one!)
  }
  return changed
}

/** Every trial, in this order, as soon as can be: also in the waiting of those that were placed before. */
function place({ trials, crews, copies }: InterleaveAsk, order: number[]): Omit<Interleaving, 'bound'> {
  const ofCrew = Array.from({ length: crews }, (): Span[] => [])
  const ofThing = copies.map((count) => Array.from({ length: Math.max(1, count) }, (): Span[] => []))
  const placed = order.map((at): PlacedTrial => {
    const trial = trials[at]!
    const found = soonest(
      trial,
      ofCrew[trial.crew]!,
      trial.things.map((thing) => ofThing[thing]!),
    )
    for (const { after, hands } of trial.busy)
      insert(ofCrew[trial.crew]!, { from: found.start + after, to: found.start + after + hands })
    insert(ofCrew[trial.crew]!, { from: found.clears, to: found.end })
    for (const copy of found.copies) insert(copy, { from: found.start, to: found.end })
    return { id: trial.id, start: found.start, clears: found.clears, end: found.end }
  })
  return { placed, finish: Math.max(0, ...placed.map(({ end }) => end)) }
}

interface Found {
  start: number
  clears: number
  end: number
  /** The copy of each thing that it takes. */
  copies: Span[][]
}

function soonest(trial: TimedTrial, crew: Span[], things: Span[][][]): Found {
  const last = trial.busy.at(-1)
  const read = last ? last.after + last.hands : 0
  let start = 0
  for (;;) {
    const later = pushedByHands(trial, crew, start)
    if (later > start) {
      start = later
      continue
    }
    const clears = gapAfter(crew, start + read, trial.clear)
    const end = clears + trial.clear
    const copies = things.map((all) => all.find((copy) => isFree(copy, start, end)))
    if (copies.every((copy) => copy !== undefined)) return { start, clears, end, copies: copies as Span[][] }
    const taken = things[copies.findIndex((copy) => copy === undefined)]!
    start = Math.min(...taken.map((copy) => nextEnd(copy, start, end)))
  }
}

/** Where its hands are taken: the start at which that part would just be free; else the start itself. */
function pushedByHands({ busy }: TimedTrial, crew: Span[], start: number): number {
  let moved = start
  for (const { after, hands } of busy) {
    const free = gapAfter(crew, moved + after, hands)
    if (free > moved + after) moved = free - after
  }
  return moved
}

/** The soonest time from here on at which nothing is in the way for so long. */
function gapAfter(row: Span[], from: number, seconds: number): number {
  if (seconds === 0) return from
  let at = from
  for (let place = firstAfter(row, from); place < row.length; place += 1) {
    if (row[place]!.from >= at + seconds) break
    at = Math.max(at, row[place]!.to)
  }
  return at
}

/** The first span that ends after this. */
function firstAfter(row: Span[], time: number): number {
  let [low, high] = [0, row.length]
  while (low < high) {
    const middle = (low + high) >> 1
    if (row[middle]!.to > time) high = middle
    else low = middle + 1
  }
  return low
}

function isFree(row: Span[], from: number, to: number): boolean {
  const next = row[firstAfter(row, from)]
  return next === undefined || next.from >= to
}

/** When the span ends that is in the way. */
function nextEnd(row: Span[], from: number, to: number): number {
  const next = row[firstAfter(row, from)]
  return next && next.from < to ? next.to : Infinity
}

function insert(row: Span[], span: Span): void {
  if (span.to === span.from) return
  let place = row.length
  while (place > 0 && row[place - 1]!.from > span.from) place -= 1
  row.splice(place, 0, span)
}
