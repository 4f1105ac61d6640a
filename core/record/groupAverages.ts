import { mean } from 'simple-statistics'
import type { Plan, Reading } from '../lesson'
import { trialResults } from './results'

/**
 * What each group found of one condition, in the plan's order; groups without a result are left out.
 * @example groupAverages(plan, record.readings, 'card') // => [{ group: 'g1', average: 14, count: 2 }, { group: 'g2', average: 15.5, count: 2 }]
 */
export function groupAverages(
  plan: Plan,
  readings: Reading[],
  condition: string,
): { group: string; average: number; count: number }[] {
  const results = trialResults(plan, readings).filter((result) => result.condition === condition)
  return plan.groups.flatMap(({ id: group }) => {
    const values = results.filter((result) => result.group === group).map(({ value }) => value)
    return values.length === 0 ? [] : [{ group, average: mean(values), count: values.length }]
  })
}
