import type { Evidence } from '../evidence'
import type { Plan, Reading } from '../lesson'
import { trialResults } from '../record'
import { resultUnit } from '../test'
import { axisFor, type Axis } from './axis'

/** Two conditions on one line of numbers, to see the gap beside the wobble. */
export interface GapDrawing {
  axis: Axis
  rows: { condition: string; average: number; values: number[] }[]
  /** One wobble, in the unit of the results. */
  wobble: number
}

/**
 * The conditions with the largest and the smallest average, their results and the wobble.
 * @returns undefined where no wobble is known, or values only say an order
 */
export function gapDrawing(plan: Plan, readings: Reading[], { spread, wobble, summaries }: Evidence): GapDrawing | undefined {
  if (!spread || wobble === undefined) return undefined
  const results = trialResults(plan, readings)
  const rows = [spread.more, spread.less].flatMap((condition) => {
    const summary = summaries.find((one) => one.condition === condition)
    const values = results.filter((result) => result.condition === condition).map(({ value }) => value)
    return summary && values.length > 0 ? [{ condition, average: summary.evened, values }] : []
  })
  if (rows.length < 2) return undefined
  const all = rows.flatMap(({ average, values }) => [...values, average - wobble, average + wobble])
  return { axis: axisFor(all, false, resultUnit(plan)), rows, wobble }
}
