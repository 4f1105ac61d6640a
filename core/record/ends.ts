import { activeConditions, type Plan, type Reading } from '../lesson'
import { countsOf, testOf } from '../test'
import { convert } from '../quantity'
import { countedReadings } from './readings'

/** A condition whose readings came to the most that can be read: what it really gives is at least that. */
export interface AtItsEnd {
  condition: string
  most: number
  readings: number
}

/**
 * The conditions that were read at their end: the string, the table or the watch goes no further.
 * @example atTheirEnd(soakUpPlan(), []) // => []
 */
export function atTheirEnd(plan: Plan, readings: Reading[]): AtItsEnd[] {
  const { amount } = testOf(plan)
  if (!amount || countsOf(plan) !== 'reading' || Object.keys(amount.mostPossible).length === 0) return []
  const counted = countedReadings(plan, readings)
  return activeConditions(plan).flatMap(({ id: condition }) => {
    const most = amount.mostPossible[condition]
    if (most === undefined) return []
    const there = counted.filter(
      (one) => one.condition === condition && (convert(one.value, one.unit, amount.unit) ?? -Infinity) >= most,
    )
    return there.length === 0 ? [] : [{ condition, most, readings: there.length }]
  })
}
