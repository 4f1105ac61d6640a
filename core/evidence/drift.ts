import { oncePerPair } from '../chance'
import { orderKindOf, trialOrderOf } from '../arrangement'
import { type LessonRecord, type Plan, type Reading } from '../lesson'
import { historyOf, trialResults, type TrialResult } from '../record'
import { testOf } from '../test'
import { evidenceOf } from './ofLesson'
import { fitLevels, type Observation } from './model'

/** Results that creep with the number of the trial, whatever the condition: warming, tiring, wear, or hands that learn. */
export interface Drift {
  /** How much a result changes from one trial to the next. */
  slope: number
  t: number
  /** How much of the gap between the first and the last condition it could make by itself, with its sign. */
  explains: number
}

const NAMED_BEYOND = 3

/** A result with the number of its trial within its group, 1 for the first. */
export type NumberedResult = Observation & { trial: number }

/**
 * Drift in a class's results: what they leave once group and condition are taken out, against what the number of the trial leaves (Frisch and
 * Waugh, 1933).
 * @returns undefined where nothing is left to judge by, or the order of trials is the conditions' own
 * @example driftIn([1, 2, 3, 4].map((trial) => ({ group: 'A', condition: trial % 2 ? 'x' : 'y', trial, value: trial })))!.slope // => 1
 */
export function driftIn(results: NumberedResult[]): { slope: number; t: number } | undefined {
  if (results.length === 0) return undefined
  const left = residuals(results)
  const numbers = residuals(results.map((one) => ({ ...one, value: one.trial })))
  const groups = new Set(results.map(({ group }) => group)).size
  const conditions = new Set(results.map(({ condition }) => condition)).size
  const df = results.length - groups - (conditions - 1) - 1
  const spread = numbers.reduce((sum, value) => sum + value ** 2, 0)
  if (df < 1 || spread < 1e-9 * results.length) return undefined
  const slope = numbers.reduce((sum, value, place) => sum + value * left[place]!, 0) / spread
  const rest = left.reduce((sum, value) => sum + value ** 2, 0) - slope ** 2 * spread
  const error = Math.sqrt(Math.max(0, rest) / df / spread)
  return { slope, t: error > 0 ? slope / error : slope === 0 ? 0 : Math.sign(slope) * Infinity }
}

/** The drift of a lesson, where it is strong enough to be named. */
export const driftOf = oncePerPair((plan: Plan, record: LessonRecord): Drift | undefined => {
  const evidence = evidenceOf(plan, record)
  if (!testOf(plan).way.isAmount || orderKindOf(plan) === 'as-written' || !evidence?.spread) return undefined
  const numbered = numberedResults(plan, record.readings).filter(({ condition }) => evidence.order.includes(condition))
  const drift = driftIn(numbered)
  if (!drift || Math.abs(drift.t) <= NAMED_BEYOND) return undefined
  const { more, less } = evidence.spread
  const middle = (condition: string) => {
    const own = numbered.filter((one) => one.condition === condition)
    return own.reduce((sum, { trial }) => sum + trial, 0) / own.length
  }
  return { ...drift, explains: drift.slope * (middle(more) - middle(less)) }
})

/** In the order in which a station sent them; what was keyed in from paper or a table goes by the order that the plan gave. */
function numberedResults(plan: Plan, readings: Reading[]): NumberedResult[] {
  const results = trialResults(plan, readings)
  const written = new Map<string, { at: string; live: boolean }>()
  for (const reading of readings) {
    if (reading.practice) continue
    const key = keyOf(reading)
    const first = historyOf(reading, readings).at(-1) ?? reading
    const known = written.get(key)
    if (!known || first.at < known.at) written.set(key, { at: first.at, live: first.by === 'station' })
  }
  const orders = trialOrderOf(plan)
  return plan.groups.flatMap(({ id }) => {
    const own = results.filter(({ group }) => group === id)
    const live = own.every((one) => written.get(keyOf(one))?.live)
    const order = new Map((orders.get(id) ?? []).map((trial, place) => [keyOf({ group: id, ...trial }), place]))
    const turn = (one: TrialResult) => (live ? Date.parse(written.get(keyOf(one))!.at) : (order.get(keyOf(one)) ?? -1))
    return own
      .map((one) => ({ one, at: turn(one) }))
      .sort((a, b) => a.at - b.at)
      .map(({ one: { group, condition, value } }, place) => ({ group, condition, value, trial: place + 1 }))
  })
}

function keyOf({ group, condition, repeat }: { group: string; condition: string; repeat: number }): string {
  return `${group}/${condition}/${repeat}`
}

/** What is left of each value once the levels of its group and its condition are taken out. */
function residuals(observations: Observation[]): number[] {
  const { evened } = fitLevels(observations, 0)
  const levels = new Map<string, { sum: number; count: number }>()
  for (const { group, condition, value } of observations) {
    const own = levels.get(group) ?? { sum: 0, count: 0 }
    levels.set(group, { sum: own.sum + value - evened.get(condition)!, count: own.count + 1 })
  }
  return observations.map(({ group, condition, value }) => {
    const { sum, count } = levels.get(group)!
    return value - evened.get(condition)! - sum / count
  })
}
