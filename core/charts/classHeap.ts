import { isEachChild, type Plan, type Reading } from '../lesson'
import { resultUnit } from '../test'
import { groupAverages, trialResults } from '../record'
import { histogram, type Bin } from './histogram'

/** How often each size came of one condition, and where one's own number is. */
export interface ClassHeap {
  bins: Bin[]
  count: number
  own: number | undefined
}

/**
 * What the class found of one condition, heaped up: every result of groups, and where each child has a record of its own every child once. Undefined while they are too few
 * for a shape.
 * @example classHeap(soakUpPlan(), [], 'tissue') // => undefined
 */
export function classHeap(plan: Plan, readings: Reading[], condition: string, child?: string): ClassHeap | undefined {
  const averages = groupAverages(plan, readings, condition)
  const values = isEachChild(plan)
    ? averages.map(({ average }) => average)
    : trialResults(plan, readings).flatMap((result) => (result.condition === condition ? [result.value] : []))
  const bins = histogram(values, resultUnit(plan))
  return bins && { bins, count: values.length, own: averages.find(({ group }) => group === child)?.average }
}
