import { mean, median } from 'simple-statistics'

export interface Summary {
  count: number
  mean: number
  median: number
  lowest: number
  highest: number
  range: number
}

/** What the results table shows of one condition; undefined without a value. `summarise([4, 5, 4])!.range // 1` */
export function summarise(values: number[]): Summary | undefined {
  if (values.length === 0) return undefined
  const lowest = values.reduce((a, b) => Math.min(a, b))
  const highest = values.reduce((a, b) => Math.max(a, b))
  return { count: values.length, mean: mean(values), median: median(values), lowest, highest, range: highest - lowest }
}
