import { pausedSince, type GroupAtWork, type TestPace } from '../clock'
import { type LessonRecord, type Pause, type Tap, type Plan, type Reading } from '../lesson'
import { runsInAll, runsOf, trialsByGroup } from '../arrangement'
import { kindOf, testOf } from '../test'
import { currentReadings } from './readings'

/** The clock by which a class tests: when testing began, if anybody knows, and when it stood still. */
export interface TestClock {
  /** By the server's clock, in milliseconds. */
  started: number | undefined
  pauses: Pause[]
  /** Trials that groups on paper were said to have done. */
  tapped?: Tap[]
  now: number
}

/** How a group, or the class at one apparatus, gets on with its trials. */
export interface TrialsUnderWay extends GroupAtWork {
  /** undefined for the class. */
  group: string | undefined
  done: number
  /** When it last wrote a number, or that a trial failed; undefined before. */
  last: number | undefined
}

/** Each trial stands alone, so that what the last ones took tells of the next. */
export function trialsStandAlone(plan: Plan): boolean {
  const { kind, way } = testOf(plan)
  return kind.cutShort && !kind.watches && !kind.readsTwice && !way.weighsTwo
}

interface TrialEvent {
  at: number
  /** The same for all that is read of one trial. */
  trial: string
  practice: boolean
}

/** Numbers that come closer together than this share of a trial were written down at one go, after all of them. */
const AT_ONE_GO = 0.25

/**
 * How every group gets on: what its trials took, from the one before (or the start, or the end of a pause) to its own first number. What was
 * typed in one go is shared out evenly; a trial that failed ends where that was said. Practice counts as trials until it is given up.
 * @example trialsUnderWay(soakUpPlan(), EMPTY_RECORD, testPaceOf(soakUpPlan())!, { started: 0, pauses: [], now: 30_000 })[0]!.left // => 16
 */
export function trialsUnderWay(plan: Plan, record: LessonRecord, pace: TestPace, clock: TestClock): TrialsUnderWay[] {
  const taps = tapsByStream(pace, clock)
  const events = eventsByStream(plan, record, pace)
  const kept = keptTrials(plan, record)
  const planned = pace.trial.wait + pace.trial.hands
  return pace.streams.map(({ group, trials }) => {
    const tapped = taps.get(group) ?? []
    const own = tapped.length > 0 ? tapped : (events.get(group) ?? [])
    const standing = withTaps(kept.get(group) ?? { counted: 0, practised: 0 }, tapped.length)
    const practice = practiceOf(plan, group, trials)
    // Whoever has begun to count does no practice any more.
    const practiceLeft = standing.counted > 0 ? 0 : Math.max(0, practice - standing.practised)
    // Who is away has nothing to do.
    const counts = trials - practice
    const left = counts === 0 ? 0 : practiceLeft + Math.max(0, counts - standing.counted)
    const last = own.at(-1)?.at
    const since = Math.max(last ?? -Infinity, clock.started ?? -Infinity)
    return {
      group,
      took: tookOf(own, clock, planned),
      elapsed: since === -Infinity || left === 0 ? 0 : Math.max(0, workedBetween(clock.pauses, since, clock.now)),
      left,
      done: standing.counted + standing.practised,
      last,
    }
  })
}

function practiceOf(plan: Plan, group: string | undefined, trials: number): number {
  if (testOf(plan).way.weighsTwo) return 0
  if (group === undefined) return trials - trials / (1 + plan.practice / plan.repeats)
  return runsInAll(plan, group) - runsOf(plan, trialsByGroup(plan).get(group)!)
}

/** What was tapped at the desk while a class writes on paper: it tells when, and the numbers come later. */
function tapsByStream({ streams }: TestPace, { tapped = [] }: TestClock): Map<string | undefined, TrialEvent[]> {
  const isOne = streams.length === 1 && streams[0]!.group === undefined
  const by = new Map<string | undefined, TrialEvent[]>()
  for (const { group, at } of tapped) {
    const stream = isOne ? undefined : group
    const own = by.get(stream) ?? []
    by.set(stream, [...own, { at: Date.parse(at), trial: `tapped ${own.length}`, practice: false }])
  }
  return by
}

function withTaps({ counted, practised }: { counted: number; practised: number }, taps: number) {
  return { counted: Math.max(counted, taps - practised), practised }
}

/** Readings and failures of every stream, in the order of time, the first of each trial. */
function eventsByStream(plan: Plan, record: LessonRecord, { streams }: TestPace): Map<string | undefined, TrialEvent[]> {
  const isOne = streams.length === 1 && streams[0]!.group === undefined
  const first = new Map<string, TrialEvent & { group: string | undefined }>()
  const note = (group: string, trial: string, at: string, practice: boolean) => {
    const time = Date.parse(at)
    const key = `${group}/${trial}`
    const known = first.get(key)
    if (!known || time < known.at) first.set(key, { at: time, trial, practice, group: isOne ? undefined : group })
  }
  for (const reading of record.readings)
    if (reading.supersedes === null) note(reading.group, trialOf(plan, reading), reading.at, reading.practice)
  for (const { id, group, at } of record.failures) note(group, `failed ${id}`, at, false)
  const by = new Map<string | undefined, TrialEvent[]>()
  for (const one of [...first.values()].sort((a, b) => a.at - b.at)) by.set(one.group, [...(by.get(one.group) ?? []), one])
  return by
}

/** How many trials of each stream stand: with a number that is not set aside. */
function keptTrials(plan: Plan, { readings }: LessonRecord): Map<string | undefined, { counted: number; practised: number }> {
  const together = new Map<string | undefined, { counted: Set<string>; practised: Set<string> }>()
  const known = new Set(plan.groups.map(({ id }) => id))
  for (const reading of currentReadings(readings)) {
    if (reading.status === 'set-aside' || !known.has(reading.group)) continue
    for (const stream of [reading.group, undefined]) {
      const own = together.get(stream) ?? { counted: new Set(), practised: new Set() }
      own[reading.practice ? 'practised' : 'counted'].add(`${reading.group}/${trialOf(plan, reading)}`)
      together.set(stream, own)
    }
  }
  return new Map(
    [...together].map(([stream, { counted, practised }]) => [stream, { counted: counted.size, practised: practised.size }]),
  )
}

/** Which trial a reading is of: a race has one for all its conditions, before and after are two looks at one. */
function trialOf(plan: Plan, { condition, repeat, practice, moment }: Reading): string {
  const which = kindOf(plan).allAtOnce ? '' : condition
  const look = kindOf(plan).readsTwice || kindOf(plan).watches ? moment : ''
  return `${practice ? 'practice' : ''}${repeat}/${which}/${look}`
}

/** Seconds of each trial by its events. The first has no beginning where nobody knows when testing began. */
function tookOf(events: TrialEvent[], { started, pauses }: TestClock, planned: number): number[] {
  const took: number[] = []
  let before = started !== undefined && events[0] && events[0].at >= started ? started : undefined
  for (let place = 0; place < events.length;) {
    let together = 1
    while (place + together < events.length && isAtOneGo(events, place + together, planned)) together += 1
    const end = events[place + together - 1]!.at
    // What was done on the day before took no time of this one.
    if (before !== undefined && started !== undefined && before < started && started <= end) before = started
    if (before !== undefined) {
      const each = workedBetween(pauses, before, end) / together
      took.push(...Array.from({ length: together }, () => each))
    }
    before = end
    place += together
  }
  return took
}

const isAtOneGo = (events: TrialEvent[], place: number, planned: number) =>
  events[place]!.at - events[place - 1]!.at < AT_ONE_GO * planned * 1000

/** Seconds between two moments in which the clock did not stand still. */
function workedBetween(pauses: Pause[], from: number, to: number): number {
  return (to - from) / 1000 - pausedSince(pauses, from, to).seconds
}
