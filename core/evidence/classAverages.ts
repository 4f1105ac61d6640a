import type { Plan } from '../lesson'
import { averageOf } from './averages'
import type { Evidence } from './grade'

/**
 * The figure that stands for each condition, the way the class sums up, by condition id. What the class has no figure for is left out.
 * @example classAverages(plan, evidence).get('card') // => 14.75
 */
export function classAverages({ average }: Plan, { summaries }: Evidence): Map<string, number> {
  return new Map(
    summaries.flatMap((summary): [string, number][] => {
      const value = averageOf(summary, average)
      return value === undefined ? [] : [[summary.condition, value]]
    }),
  )
}
