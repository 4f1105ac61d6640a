import { PACE_MODEL, pacesOf, testPaceOf } from '../clock'
import type { ClassPace, LessonRecord, Plan } from '../lesson'
import { trialsUnderWay } from './trialTimes'

/** What one lesson tells of its class: how long its hands took, and how many of its trials failed. */
export interface LessonPace {
  /** Logarithm of the pace, 0 as planned. */
  log: number
  /** Trials whose time is known. */
  timed: number
  /** Trials that ended, and those of them that ended without a number. */
  trials: number
  failed: number
}

/** Fewer than that say nothing. */
const FEWEST_TIMED = 10
/** So many lessons back a class is known by. */
const LAST_LESSONS = 3
/** A class of which nothing is known has lost one trial of 25; that many trials count beside its own. */
const FAILED_BEFORE = { trials: 25, failed: 1 }

/**
 * The pace of a lesson that was done, from the times between its own numbers.
 * @returns undefined where too few trials can be timed, or none by a clock of their own
 * @example lessonPace(soakUpPlan(), EMPTY_RECORD) // => undefined
 */
export function lessonPace(plan: Plan, record: LessonRecord): LessonPace | undefined {
  const pace = testPaceOf(plan)
  if (!pace) return undefined
  const streams = trialsUnderWay(plan, record, pace, { started: undefined, pauses: [], now: 0 })
  const took = streams.map((stream) => stream.took)
  const timed = took.reduce((sum, own) => sum + own.length, 0)
  if (timed < FEWEST_TIMED) return undefined
  const failed = record.failures.length
  return {
    log: pacesOf(pace.trial, took).class.logMean,
    timed,
    trials: streams.reduce((sum, { done }) => sum + done, failed),
    failed,
  }
}

/**
 * What a class's last lessons tell of its next, the latest first. Lessons differ as classes do: the fewer there are, the nearer to the plan.
 * @example classPaceOf([{ log: 0.2, timed: 80, trials: 80, failed: 2 }])!.lessons // => 1
 */
export function classPaceOf(lessons: LessonPace[]): ClassPace | null {
  const last = lessons.slice(0, LAST_LESSONS)
  if (last.length === 0) return null
  const own = (PACE_MODEL.class / 2) ** 2
  const weight = last.length / own
  const log = last.reduce((sum, one) => sum + one.log, 0) / own / (weight + 1 / PACE_MODEL.class ** 2)
  const sum = (of: (one: LessonPace) => number) => last.reduce((total, one) => total + of(one), 0)
  const trials = sum((one) => one.trials)
  return {
    times: Math.round(Math.exp(log) * 100) / 100,
    failed: (sum((one) => one.failed) + FAILED_BEFORE.failed) / (trials + FAILED_BEFORE.trials),
    lessons: last.length,
    trials,
  }
}
