import { arrangementOf, conditionsByGroup, conditionsEach, circuitOf, secondsOfTrial, secondsOfTrials } from '../arrangement'
import { activeConditions, PHASES, type Phase, type Plan } from '../lesson'
import { hasNamedMoments, testOf } from '../test'
import { withoutNoise } from '../quantity'
import { readingTimetable, type Timetable } from './readingTimetable'
import { scarcestThing, secondsWith, type SharedThing } from './sharedThings'

export interface PhaseTime {
  phase: Phase
  /** Minutes since the lesson began. */
  start: number
  minutes: number
}

export interface Fit {
  phases: PhaseTime[]
  /** Seconds of one trial, all its parts. */
  trialSeconds: number
  /** Trials one group does, practice included. */
  trials: number
  /** The test takes trials x trial; otherwise they overlap or wait together. */
  oneAfterTheOther: boolean
  /** Trials that a group has running at the same time. */
  sideBySide: number
  /** Seconds of waiting for things that go round, in all. */
  waiting: number
  /** Seconds of testing, as planned. */
  testSeconds: number
  /** All phases together, in minutes. */
  needed: number
  /** Minutes to spare if all goes as planned; below zero it cannot fit. */
  spare: number
}

/**
 * Does the lesson fit? The phases come one after the other, but that the kit can be fetched while the others predict; the test
 * phase is what `secondsOfTest` says for the plan's arrangement, rounded up to a whole minute.
 * @example fitOf({ ...plan, practice: 1 }).phases.find(({ phase }) => phase === 'test')!.minutes // => Math.ceil((16 * 105) / 60)
 */
export function fitOf(plan: Plan): Fit {
  const phases: PhaseTime[] = []
  const testSeconds = secondsOfTest(plan, plan.repeats)
  const testMinutes = minutesOf(testSeconds)
  let start = 0
  for (const phase of PHASES) {
    const minutes = phase === 'test' ? testMinutes : minutesOfPhase(plan, phase)
    phases.push({ phase, start, minutes })
    start = withoutNoise(start + minutes)
  }
  return {
    phases,
    trialSeconds: secondsOfTrial(plan),
    trials: roundsOf(plan) * (plan.repeats + plan.practice),
    oneAfterTheOther: takesTurns(plan),
    sideBySide: takesTurns(plan) ? plan.clock.sideBySide : 1,
    waiting: testSeconds - secondsOfTest(plan, plan.repeats, false),
    testSeconds,
    needed: start,
    spare: withoutNoise(plan.clock.minutes - start),
  }
}

/** The minute of the lesson in which testing begins. */
export function testStartOf({ phases }: Fit): number {
  return phases.find(({ phase }) => phase === 'test')!.start
}

/** Minutes of the lesson at which testing begins by the plan, how long it takes, and when it has to end for what comes after to be done by the bell. */
export interface TestTimes {
  starts: number
  takes: number
  until: number
}

/**
 * When testing happens by the plan, and when it must be over.
 * @example testTimesOf(soakUpPlan()) // => { starts: 25, takes: 28, until: 65 }
 */
export function testTimesOf(plan: Plan, { phases, needed }: Fit = fitOf(plan)): TestTimes {
  const { start, minutes } = phases.find(({ phase }) => phase === 'test')!
  return { starts: start, takes: minutes, until: plan.clock.minutes - (needed - start - minutes) }
}

/** Clock time of a minute of the lesson; undefined while no start is set. `timeAt('09:50', 15) // '10:05'` */
export function timeAt(start: string, minutes: number): string | undefined {
  const match = /^(\d{2}):(\d{2})$/.exec(start)
  if (!match) return undefined
  const all = Number(match[1]) * 60 + Number(match[2]) + Math.round(minutes)
  const two = (value: number) => String(value).padStart(2, '0')
  return `${two(Math.floor(all / 60) % 24)}:${two(all % 60)}`
}

/**
 * Clock time to the second of a minute of the lesson, the seconds left out where there are none; undefined while no start is set.
 * @example clockAt('09:50', 15.25) // => '10:05:15'
 */
export function clockAt(start: string, minutes: number): string | undefined {
  const seconds = Math.round(minutes * 60)
  const whole = timeAt(start, Math.floor(seconds / 60))
  const rest = seconds % 60
  return whole === undefined || rest === 0 ? whole : `${whole}:${String(rest).padStart(2, '0')}`
}

/**
 * Which phase a lesson is in and how many minutes are left of it; undefined before it begins and after the last phase.
 * @param minutes since the lesson began
 * @example phaseAt(fit, 21.5) // => { phase: 'fetch', left: 3.5 }
 */
export function phaseAt(fit: Fit, minutes: number): { phase: Phase; left: number } | undefined {
  const now = fit.phases.find((one) => minutes >= one.start && minutes < one.start + one.minutes)
  return now && { phase: now.phase, left: withoutNoise(now.start + now.minutes - minutes) }
}

/** Minutes of a phase as they count: fetching beside the predictions only takes what it is longer than they are. */
function minutesOfPhase({ clock }: Plan, phase: Exclude<Phase, 'test'>): number {
  const { phases, fetchWhilePredicting } = clock
  return phase === 'fetch' && fetchWhilePredicting ? Math.max(0, phases.fetch - phases.predict) : phases[phase]
}

/**
 * Seconds of testing.
 * - one trial after the other: (set-up + run + read + reset) x conditions x (repeats + practice), some side by side; a race runs
 *   all conditions at once. All together at one apparatus takes as long: each trial is then done once for the class.
 * - shared out: only the conditions that a group does; a circuit: until its last visit
 * - before and after: everything waits together, so the run counts once
 * - over time: until the last reading of the timetable; over days only today's reading; moments with names are read one after the other, those at home not here
 * - on a balance: as many weighings as an order of k things takes at least, log2(k!) rounded up
 */
function secondsOfTest(plan: Plan, repeats: number, withWaiting = true): number {
  const { setUp, run, read, reset } = plan.clock.trial
  const rounds = roundsOf(plan)
  const all = rounds * (repeats + plan.practice)
  const { kind, way } = testOf(plan)
  if (kind.readsTwice) return all * (setUp + 2 * read + reset) + run
  if (kind.watches) {
    if (plan.watch.unit === 'day') return rounds * repeats * (setUp + read + reset)
    if (hasNamedMoments(plan)) return all * (setUp + reset + plan.watch.named.filter(({ atHome }) => !atHome).length * read) + run
    const practice = rounds * plan.practice * (setUp + read + reset)
    return practice + rounds * repeats * (setUp + reset) + timetableOf(plan, repeats).finish * 60
  }
  if (way.weighsTwo) return (repeats + plan.practice) * (setUp + weighingsFor(activeConditions(plan).length) * (run + read) + reset)
  if (arrangementOf(plan) === 'circuit') return circuitOf({ ...plan, repeats }).finish
  const shared = withWaiting ? scarcestThing(plan, all) : undefined
  return shared ? secondsWith(plan, shared, all) : secondsOfTrials(plan, all)
}

/** The thing that goes round and holds up testing most, and how long it is held; undefined when nothing goes round. */
export function scarcest(plan: Plan): SharedThing | undefined {
  return scarcestThing(plan, roundsOf(plan) * (plan.repeats + plan.practice))
}

export interface Jar {
  /** The group it belongs to, where the class's instruments take turns among all groups. */
  group: string | undefined
  /** undefined where the groups share the conditions out and each has its own instruments: the same table is then every group's. */
  condition: string | undefined
  repeat: number
}

/** The jars of one reading timetable, in the order in which it numbers them. */
export function jarsOf(plan: Plan, repeats = plan.repeats): Jar[] {
  const way = arrangementOf(plan)
  const among = (group: string | undefined, conditions: (string | undefined)[]) =>
    conditions.flatMap((condition) => Array.from({ length: repeats }, (_, at): Jar => ({ group, condition, repeat: at + 1 })))
  if (plan.watch.among === 'class' && way !== 'together')
    return [...conditionsByGroup(plan)].flatMap(([group, conditions]) => among(group, conditions))
  const own = activeConditions(plan).map(({ id }) => id)
  return among(undefined, way === 'share-out' ? own.slice(0, conditionsEach(plan)).map(() => undefined) : own)
}

/**
 * The timetable by which jars are read over minutes: those of one group with its own instruments, or those of the whole class
 * where the class's instruments take turns.
 */
export function timetableOf(plan: Plan, repeats = plan.repeats): Timetable {
  return readingTimetable({
    jars: jarsOf(plan, repeats).length,
    times: [...plan.watch.times].sort((a, b) => a - b),
    // One pair of children reads all places of a jar at one go.
    minutesPerReading: withoutNoise(plan.clock.trial.read / 60),
    instruments: plan.watch.instruments,
    grid: READING_GRID,
  })
}

/** Starts of jars lie on half minutes where the times of reading do: that is what a child can do by a clock on the wall. */
const READING_GRID = 0.5

/** Trials of one group (of the class, all together) in one repeat of everything. */
function roundsOf(plan: Plan): number {
  const conditions = conditionsEach(plan)
  return testOf(plan).kind.allAtOnce ? Math.min(1, conditions) : conditions
}

function takesTurns(plan: Plan): boolean {
  const { kind, way } = testOf(plan)
  return !kind.readsTwice && !kind.watches && !way.weighsTwo
}

/**
 * The fewest weighings on a balance after which an order of so many things can be known.
 * @example weighingsFor(5) // => 7
 */
export function weighingsFor(things: number): number {
  let orders = 0
  for (let thing = 2; thing <= things; thing += 1) orders += Math.log2(thing)
  return Math.ceil(withoutNoise(orders))
}

function minutesOf(seconds: number): number {
  return Math.ceil(withoutNoise(seconds / 60))
}
