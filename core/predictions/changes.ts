import { activeConditions, type Plan } from '../lesson'
import { comparesMoments, momentsOf } from '../test'

/**
 * Of what is asked whether it becomes more, less or stays the same: each condition, or each moment after the first where one thing is compared with itself.
 * @example changesAsked(soakUpPlan()) // => ['kitchen-roll', 'tissue', 'writing-paper', 'card']
 */
export function changesAsked(plan: Plan): string[] {
  if (!comparesMoments(plan)) return activeConditions(plan).map(({ id }) => id)
  return momentsOf(plan)
    .slice(1)
    .map(({ id }) => id)
}
