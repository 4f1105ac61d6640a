import type { ResultUnit } from '../quantity'
import { axisFor, axisTicks } from './axis'

/** From so many readings on a heap has a shape. */
const FEWEST_FOR_HISTOGRAM = 10

export interface Bin {
  from: number
  to: number
  count: number
}

/**
 * How many values lie in each of a few equal, round steps; a value on a border counts above it, the largest in the last one.
 * @param unit what they are in: counts have whole steps
 * @returns undefined with fewer than ten values
 * @example histogram([1, 2, 2, 3, 3, 3, 4, 4, 5, 9])!.map(({ count }) => count) // => [1, 2, 3, 2, 1, 0, 0, 1]
 */
export function histogram(values: number[], unit?: ResultUnit): Bin[] | undefined {
  return values.length < FEWEST_FOR_HISTOGRAM ? undefined : heapsOf([values], unit)[0]
}

/**
 * Several heaps on the same steps, so that they can be laid beside each other.
 * @example heapsOf([[1, 2], [2, 3]]).map((bins) => bins.reduce((sum, { count }) => sum + count, 0)) // => [2, 2]
 */
export function heapsOf(lists: number[][], unit?: ResultUnit): Bin[][] {
  const all = lists.flat()
  if (all.length === 0) return lists.map(() => [])
  const axis = axisFor(all, false, unit)
  // The largest count has a step of its own, too.
  const further = unit === 'count' && Math.max(...all) === axis.to ? axis.step : 0
  const ticks = axisTicks({ ...axis, to: axis.to + further })
  return lists.map((values) =>
    ticks.slice(1).map((to, place) => {
      const [from, last] = [ticks[place]!, place === ticks.length - 2]
      return { from, to, count: values.filter((value) => isIn(value, { from, to }, last)).length }
    }),
  )
}

/** Does a value belong to this step? @param last of all steps, which has its upper border too */
export function isIn(value: number, { from, to }: Pick<Bin, 'from' | 'to'>, last: boolean): boolean {
  return value >= from && (value < to || (last && value <= to))
}
