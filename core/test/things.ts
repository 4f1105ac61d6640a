import { activeConditions, type Plan } from '../lesson'
import { kindOf } from './kinds'

/**
 * Does the same thing come again in every trial of a condition: a group's own, or the one that the whole class looks at. Where the class watches over time each trial is a jar of its own.
 * @example comesAgain({ kind: 'fair-test', things: 'same' }) // => true
 */
export function comesAgain({ kind, things }: Pick<Plan, 'kind' | 'things'>): boolean {
  return things !== 'fresh' && !kindOf({ kind }).watches
}

/**
 * Is one thing, read before and after, compared with itself: no other condition is there.
 * @example comparesWithItself(soakUpPlan()) // => false
 */
export function comparesWithItself(plan: Plan): boolean {
  return kindOf(plan).readsTwice && activeConditions(plan).length === 1
}
