import { centreOf, FITS_IN, isDayOf, secondsLeft, shareWithin, testPaceOf, type SecondsLeft } from '../clock'
import { type LessonRecord, type Plan } from '../lesson'
import { trialsStandAlone, trialsUnderWay, type TestClock, type TrialsUnderWay } from './trialTimes'

/** A group, or the class at one apparatus, with the seconds until it is done. */
export interface GroupUnderWay extends TrialsUnderWay, SecondsLeft {
  pace: number
}

/** When a class that tests will be done, if it goes on as it does; seconds from now. */
export interface UnderWay extends SecondsLeft {
  groups: GroupUnderWay[]
  /** When half of the groups will be done. */
  halfOfGroups: number
  /** Share of what could happen in which all are done before testing has to end; undefined where no bell is known. */
  inTime: number | undefined
  /** Seconds until testing has to end, 0 when it should have; undefined where no bell is known. */
  toEnd: number | undefined
  /** The class's pace, 1 as planned. */
  pace: number
  /** Trials whose time is known. */
  timed: number
  all: number
  done: number
}

/**
 * The live forecast of a lesson whose groups test.
 * @param clock.until when testing has to end, by the server's clock in milliseconds
 * @returns undefined where no pace can be told: jars read by the clock, days and named moments, weighings whose number nobody knows, a
 *   plan without times, or nothing to test
 * @example underWay(soakUpPlan(), EMPTY_RECORD, { started: 0, pauses: [], now: 0, until: undefined })!.done // => 0
 */
export function underWay(plan: Plan, record: LessonRecord, clock: TestClock & { until: number | undefined }): UnderWay | undefined {
  const pace = trialsStandAlone(plan) ? testPaceOf(plan) : undefined
  if (!pace) return undefined
  const streams = trialsUnderWay(plan, record, pace, clock)
  const share = leftShare(streams)
  const options = { centre: centreOf(plan), extra: pace.extra * share, onePace: pace.onePace }
  const forecast = secondsLeft(pace.trial, streams, options)
  const groups = streams.map((stream, place) => ({
    ...stream,
    ...forecast.groups[place]!,
    pace: (pace.onePace ? forecast.paces.class : forecast.paces.groups[place]!).pace,
  }))
  const halves = groups.map(({ half }) => half).sort((a, b) => a - b)
  const sum = (of: (one: TrialsUnderWay) => number) => streams.reduce((total, one) => total + of(one), 0)
  const toEnd = clock.until === undefined ? undefined : Math.max(0, (clock.until - clock.now) / 1000)
  return {
    groups,
    ...forecast.class,
    halfOfGroups: halves[Math.ceil(halves.length / 2) - 1] ?? 0,
    inTime: toEnd === undefined ? undefined : shareWithin(forecast.ends, toEnd),
    toEnd,
    pace: forecast.paces.class.pace,
    timed: sum(({ took }) => took.length),
    done: sum(({ done }) => done),
    all: sum(({ done, left }) => done + left),
  }
}

/** Without a clock a class is at work while numbers come in: a lesson of yesterday, or put off until tomorrow, is foretold nothing. */
const STILL_AT_WORK = 15 * 60_000

/**
 * Does the class test now, so that something can be foretold?
 * @example isAtWork(soakUpPlan(), EMPTY_RECORD, { started: undefined, pauses: [], now: 0 }) // => false
 */
export function isAtWork(plan: Pick<Plan, 'date'>, { readings }: LessonRecord, { started, tapped = [], now }: TestClock): boolean {
  if (started !== undefined) return true
  const latest = [readings.at(-1)?.at, tapped.at(-1)?.at].flatMap((at) => (at === undefined ? [] : [Date.parse(at)]))
  return isDayOf(plan, now) && latest.some((at) => now - at < STILL_AT_WORK)
}

/** Fewer than nine in ten of what could happen are in time. `isLate({ done: 3, all: 84, inTime: 0.5 }) // true` */
export function isLate({ done, all, inTime }: Pick<UnderWay, 'done' | 'all' | 'inTime'>): boolean {
  return done < all && inTime !== undefined && inTime < FITS_IN
}

/** What groups wait for each other lies as evenly among the trials as they do. */
function leftShare(streams: TrialsUnderWay[]): number {
  const [left, done] = streams.reduce(([a, b], one) => [a + one.left, b + one.done] as [number, number], [0, 0])
  return left + done === 0 ? 0 : left / (left + done)
}
