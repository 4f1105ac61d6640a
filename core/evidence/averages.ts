import { mean } from 'simple-statistics'
import { middleValue } from '../record'
import type { AverageWay } from '../lesson'

export interface Summary {
  count: number
  mean: number
  median: number
  /** The values that came most often; empty where each came once only. */
  modes: number[]
  lowest: number
  highest: number
  range: number
}

/** What the results table shows of one condition; undefined without a value. `summarise([4, 5, 4])!.range // 1` */
export function summarise(values: number[]): Summary | undefined {
  if (values.length === 0) return undefined
  const lowest = values.reduce((a, b) => Math.min(a, b))
  const highest = values.reduce((a, b) => Math.max(a, b))
  return {
    count: values.length,
    mean: mean(values),
    median: middleValue(values),
    modes: modesOf(values),
    lowest,
    highest,
    range: highest === lowest ? 0 : highest - lowest,
  }
}

/**
 * The one figure that stands for a condition, as the class sums up; undefined where the class uses none, or no single value is the
 * most common.
 * @example averageOf(summarise([4, 5, 4])!, 'mode') // => 4
 */
export function averageOf({ mean, median, modes }: Summary, way: AverageWay): number | undefined {
  if (way === 'mean') return mean
  if (way === 'median') return median
  return way === 'mode' && modes.length === 1 ? modes[0] : undefined
}

function modesOf(values: number[]): number[] {
  const counts = new Map<number, number>()
  for (const value of values) counts.set(value, (counts.get(value) ?? 0) + 1)
  const most = Math.max(...counts.values())
  return most === 1 ? [] : [...counts].flatMap(([value, count]) => (count === most ? [value] : [])).sort((a, b) => a - b)
}
