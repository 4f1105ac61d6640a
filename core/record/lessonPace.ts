import { medianSorted } from 'simple-statistics'
import { PACE_MODEL, pacesOf, testPaceOf } from '../clock'
import type { ClassPace, LessonRecord, Plan } from '../lesson'
import { trialsStandAlone, trialsUnderWay } from './trialTimes'

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

/** At such a multiple of the planned time, or such a part of it, no class works: its numbers were written down at another time than they were read. */
const NO_CLASS = 2.5
/** Fewer than that say nothing. */
const FEWEST_TIMED = 10
/** So many lessons back a class is known by. */
const LAST_LESSONS = 3
/** A class of which nothing is known has lost one trial of 25; that many trials count beside its own. */
const FAILED_BEFORE = { trials: 25, failed: 1 }

/**
 * The pace of a lesson that was done, from the times between the numbers that its stations wrote.
 * @returns undefined where too few trials can be timed, or none by a clock of their own
 * @example lessonPace(soakUpPlan(), EMPTY_RECORD) // => undefined
 */
export function lessonPace(plan: Plan, record: LessonRecord): LessonPace | undefined {
  const pace = trialsStandAlone(plan) ? testPaceOf(plan) : undefined
  if (!pace) return undefined
  // What was typed at the desk tells when it was typed.
  const own = { ...record, readings: record.readings.filter(({ by }) => by === 'station') }
  const streams = trialsUnderWay(plan, own, pace, { started: undefined, pauses: [], now: 0 })
  const took = streams.map((stream) => stream.took)
  const timed = took.reduce((sum, own) => sum + own.length, 0)
  if (timed < FEWEST_TIMED) return undefined
  const { wait, hands } = pace.trial
  const usual = medianSorted(took.flat().sort((a, b) => a - b))
  if (usual > wait + hands * NO_CLASS || usual < wait + hands / NO_CLASS) return undefined
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
