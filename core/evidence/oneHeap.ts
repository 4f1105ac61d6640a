import { mean, quantile, standardDeviation } from 'simple-statistics'
import { tLeaving } from '../chance'
import type { LessonRecord, Plan } from '../lesson'
import { groupAverages } from '../record'

/** What single records of one condition look like together, in the unit of the result. */
export interface OneHeap {
  count: number
  lowest: number
  highest: number
  /** A quarter lies below, half, three quarters. */
  quarters: [number, number, number]
  mean: number
  /** How far the mean of another class like this one may lie from this mean, 95 times in 100; undefined with fewer than five records. */
  another: number | undefined
}

const FEWEST_FOR_ANOTHER = 5

/**
 * The class's single records of one condition, each child's or group's own average once: range, quarters, mean, and where the mean of another class
 * like it would lie (t interval of the difference of two means of as many). Undefined without records.
 * @example oneHeap(soakUpPlan(), EMPTY_RECORD, 'tissue') // => undefined
 */
export function oneHeap(plan: Plan, record: LessonRecord, condition: string): OneHeap | undefined {
  const values = groupAverages(plan, record.readings, condition).map(({ average }) => average)
  if (values.length === 0) return undefined
  const sorted = [...values].sort((a, b) => a - b)
  return {
    count: values.length,
    lowest: sorted[0]!,
    highest: sorted.at(-1)!,
    quarters: [quantile(sorted, 0.25), quantile(sorted, 0.5), quantile(sorted, 0.75)],
    mean: mean(values),
    another: values.length < FEWEST_FOR_ANOTHER ? undefined : reachOfAnother(values),
  }
}

/** Both classes' means wobble: the variance of their difference is twice that of one. */
function reachOfAnother(values: number[]): number {
  const n = values.length
  const sample = standardDeviation(values) * Math.sqrt(n / (n - 1))
  return tLeaving(0.05, n - 1) * sample * Math.sqrt(2 / n)
}
