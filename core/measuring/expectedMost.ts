import { activeConditions, type Plan } from '../lesson'
import { atLevel, firstSeries, testOf, type ResolvedMethod } from '../test'
import { withoutNoise } from '../quantity'

/**
 * Can be said which condition is expected to give most: there are kinds, and a lowest and a highest result that somebody guessed.
 * @example asksForMost(soakUpPlan()) // => true
 */
export function asksForMost(plan: Plan): boolean {
  const { amount } = testOf(plan)
  if (!amount || amount.expectedFrom !== 'guess' || plan.conditionsAs !== 'kinds') return false
  const { expectedLow: low, expectedHigh: high } = amount
  return low !== null && high !== null && high > low && activeConditions(firstSeries(plan)).length > 1
}

/** Which condition the teacher expects to give most; undefined while nobody said, and then they are taken as they stand, the last one highest. */
export function expectedMost(plan: Plan): string | undefined {
  const expected = testOf(plan).amount?.expected ?? {}
  const ids = activeConditions(firstSeries(plan)).map(({ id }) => id)
  if (!asksForMost(plan) || ids.some((id) => expected[id] === undefined)) return undefined
  return ids.reduce((most, id) => (expected[id]! > expected[most]! ? id : most))
}

/**
 * The method with this condition expected to give most, the others below it in even steps as they stand, alike in every series; none takes that back.
 * @example withExpectedMost(soakUpPlan(), 'card')({ ...testOf(soakUpPlan()).method!, expectedLow: 10, expectedHigh: 40 }).expected.card // => 40
 */
export function withExpectedMost(plan: Plan, most: string | undefined): (method: ResolvedMethod) => ResolvedMethod {
  const ids = activeConditions(firstSeries(plan)).map(({ id }) => id)
  return (method) => {
    const { expectedLow: low, expectedHigh: high } = method
    if (most === undefined || low === null || high === null || !ids.includes(most)) return { ...method, expected: {} }
    const order = [...ids.filter((id) => id !== most), most]
    const step = (high - low) / Math.max(1, order.length - 1)
    const expected = order.flatMap((id, place) =>
      atLevel(plan, id).map((level) => [level, withoutNoise(low + place * step)] as const),
    )
    return { ...method, expected: Object.fromEntries(expected) }
  }
}
