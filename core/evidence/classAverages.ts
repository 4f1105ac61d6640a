import type { Plan } from '../lesson'
import { countsOf, testOf } from '../test'
import { averageOf } from './averages'
import type { ConditionSummary, Evidence } from './grade'

/**
 * The one figure that stands for a condition in graphs and sentences alike: of a class that uses the mean, the one with the groups evened out, as order
 * and gap go by it (where all did the same it is the plain mean); else the class's own middle or commonest value. Places, words and times until something
 * have their own, whatever the class uses elsewhere.
 * @returns undefined where the class uses none or has none
 * @example classAverage(soakUpPlan({ average: 'none' }), evidence.summaries[0]!) // => undefined
 */
export function classAverage(plan: Plan, summary: ConditionSummary): number | undefined {
  const chosen = testOf(plan).way.isAmount && countsOf(plan) !== 'until' ? plan.average : 'mean'
  return chosen === 'mean' ? summary.evened : averageOf(summary, chosen)
}

/**
 * The figure that stands for each condition, by condition id. What the class has no figure for is left out.
 * @example classAverages(plan, evidence).get('card') // => 14.75
 */
export function classAverages(plan: Plan, { summaries }: Evidence): Map<string, number> {
  return new Map(
    summaries.flatMap((summary): [string, number][] => {
      const value = classAverage(plan, summary)
      return value === undefined ? [] : [[summary.condition, value]]
    }),
  )
}
