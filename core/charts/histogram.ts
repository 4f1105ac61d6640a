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
 * @returns undefined with fewer than ten values
 * @example histogram([1, 2, 2, 3, 3, 3, 4, 4, 5, 9])!.map(({ count }) => count) // => [1, 2, 3, 2, 1, 0, 0, 1]
 */
export function histogram(values: number[]): Bin[] | undefined {
  if (values.length < FEWEST_FOR_HISTOGRAM) return undefined
  const ticks = axisTicks(axisFor(values, false))
  return ticks.slice(1).map((to, place) => {
    const from = ticks[place]!
    const last = place === ticks.length - 2
    return { from, to, count: values.filter((value) => value >= from && (value < to || (last && value <= to))).length }
  })
}
