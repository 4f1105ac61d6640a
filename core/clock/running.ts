import { parseISO } from 'date-fns'
import { oncePer } from '../chance'
import { MOST_PAUSES, type BoardState, type Pause, type Phase, type Plan } from '../lesson'
import { fitOf, phaseAt, testStartOf, testTimesOf, type Fit } from './fit'

const A_MINUTE = 60_000
/** The clock is looked at twice a second, and the plan seldom changes. */
const fitFor = oncePer(fitOf)

/** The clock of a lesson as it stands at a moment. */
export interface RunningClock {
  phase: Phase
  secondsLeft: number
  /** How much of the phase is left, 1 to 0. */
  share: number
  running: boolean
  /** Seconds since testing began, pauses left out; undefined while it does not run. */
  elapsed: number | undefined
  /** When testing began, by the server's clock in milliseconds; undefined where no clock runs, or not yet. */
  began: number | undefined
  /** Seconds for which the clock has stood still since it began; `now` while it does. */
  paused: { seconds: number; now: boolean }
  /** When testing has to end for what comes after it, by the server's clock in milliseconds; undefined where no bell is known. */
  until: number | undefined
}

/**
 * The clock of a lesson, the same on board, desk and stations: the lesson's own timetable while that runs today, or the test's
 * minutes since the teacher started them by hand. It can be paused; the bell cannot, so that what is lost is taken from the minutes that are
 * left for testing.
 * @param now by the server's clock, in milliseconds
 * @example runningClock({ ...plan, date: '' }, USUAL_BOARD, 0) // => { phase: 'test', running: false, share: 1, elapsed: undefined, … }
 */
export function runningClock(
  plan: Plan,
  { clockStarted, pauses }: Pick<BoardState, 'clockStarted' | 'pauses'>,
  now: number,
): RunningClock {
  const fit = fitFor(plan)
  const whole = (phase: Phase) => fit.phases.find((one) => one.phase === phase)?.minutes ?? 0
  const lesson = startOfLesson(plan)
  const until = lesson === undefined ? undefined : lesson + testTimesOf(plan, fit).until * A_MINUTE
  if (clockStarted !== null) {
    const began = Date.parse(clockStarted)
    const paused = pausedSince(pauses, began, now)
    const passed = (now - began) / A_MINUTE - paused.seconds / 60
    // Begun after its lesson has to be over, or days before, testing has its own minutes and no bell.
    const ends = until !== undefined && began < until && until - began < A_DAY ? until : undefined
    const all = ends === undefined ? whole('test') : (ends - began) / A_MINUTE
    const left = ends === undefined ? whole('test') - passed : (ends - now) / A_MINUTE
    return { ...showing('test', Math.max(0, left), all, passed * 60), began, paused, until: ends }
  }
  const paused = lesson === undefined ? NEVER : pausedSince(pauses, lesson, now)
  const still = {
    ...showing('test', whole('test'), whole('test'), undefined),
    ...{ running: false, began: undefined, paused: NEVER, until: undefined },
  }
  if (lesson === undefined) return still
  const minute = (now - lesson) / A_MINUTE
  const at = placeAt(plan, fit, minute, paused.seconds / 60)
  if (!at) return still
  const elapsed = at.phase === 'test' ? (minute - testStartOf(fit)) * 60 - paused.seconds : undefined
  const starts = lesson + testStartOf(fit) * A_MINUTE
  const began = starts + pausedSince(pauses, lesson, Math.min(now, starts)).seconds * 1000
  return { ...showing(at.phase, at.left, at.minutes, elapsed), began: began <= now ? began : undefined, paused, until }
}

/**
 * Is the time for testing over, as far as a clock tells? A place without a number is a gap only then. Where no clock runs and no day is set,
 * nobody knows, and what is empty is empty.
 * @example testingIsOver({ ...plan, date: '' }, USUAL_BOARD, Date.now()) // => true
 */
export function testingIsOver(plan: Plan, board: Pick<BoardState, 'clockStarted' | 'pauses'>, now: number): boolean {
  if (board.clockStarted !== null) return runningClock(plan, board, now).secondsLeft <= 0
  const lesson = startOfLesson(plan)
  return lesson === undefined || now >= lesson + testTimesOf(plan, fitFor(plan)).until * A_MINUTE
}

/**
 * Is this the lesson's day, as far as anybody said one?
 * @example isDayOf({ date: '' }, Date.now()) // => true
 */
export function isDayOf({ date }: Pick<Plan, 'date'>, now: number): boolean {
  return date === '' || isSameDay(parseISO(date).getTime(), now)
}

const A_DAY = 24 * 60 * A_MINUTE
const NEVER = { seconds: 0, now: false }

/**
 * How long the clock has stood still since it began. A pause that nobody ended ends with its day.
 * @example pausedSince([{ from: '2026-03-12T10:00:00Z', to: '2026-03-12T10:04:00Z' }], Date.parse('2026-03-12T09:00:00Z'), Date.now()) // => { seconds: 240, now: false }
 */
export function pausedSince(pauses: Pause[], began: number, now: number): { seconds: number; now: boolean } {
  let [seconds, still] = [0, false]
  for (const { from, to } of pauses) {
    const begins = Date.parse(from)
    const open = to === null && isSameDay(begins, now)
    if (to === null && !open) continue
    const ends = Math.min(now, open ? now : Date.parse(to!))
    seconds += Math.max(0, ends - Math.max(began, begins)) / 1000
    still ||= open
  }
  return { seconds, now: still }
}

/** The pauses after the clock was stopped or goes on. */
export function pausesTurned(pauses: Pause[], now: number): Pause[] {
  const at = new Date(now).toISOString()
  const last = pauses.at(-1)
  if (last?.to === null && isSameDay(Date.parse(last.from), now)) return [...pauses.slice(0, -1), { ...last, to: at }]
  return [...pauses.filter(({ to }) => to !== null), { from: at, to: null }].slice(-MOST_PAUSES)
}

function isSameDay(one: number, other: number): boolean {
  return new Date(one).toDateString() === new Date(other).toDateString()
}

/**
 * Where a lesson stands: what comes before testing moves on by pauses; testing has all the time up to the moment at which it has to end, the
 * minutes to spare among it, and no pause gives any back; the rest goes by the bell.
 */
function placeAt(
  plan: Plan,
  fit: Fit,
  minute: number,
  paused: number,
): { phase: Phase; left: number; minutes: number } | undefined {
  const { starts, takes, until } = testTimesOf(plan, fit)
  // In the order of the plan, as if testing had ended when it had to.
  if (minute >= until) return placeIn(fit, minute - until + starts + takes)
  const moved = minute - paused
  if (moved >= starts) return { phase: 'test', left: until - minute, minutes: Math.max(until - starts, 0) }
  return placeIn(fit, moved)
}

function placeIn(fit: Fit, minute: number) {
  const at = phaseAt(fit, minute)
  return at && { ...at, minutes: fit.phases.find(({ phase }) => phase === at.phase)!.minutes }
}

function showing(phase: Phase, minutesLeft: number, whole: number, elapsed: number | undefined) {
  const share = whole === 0 ? 0 : minutesLeft / whole
  return { phase, secondsLeft: Math.ceil(minutesLeft * 60), share, running: true, elapsed }
}

function startOfLesson({ date, clock }: Plan): number | undefined {
  return date === '' || clock.start === '' ? undefined : parseISO(`${date}T${clock.start}:00`).getTime()
}
