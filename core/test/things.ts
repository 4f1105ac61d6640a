import { activeConditions, type Plan } from '../lesson'
import { kindOf } from './kinds'
import { hasNamedMoments } from './moments'
import { testOf } from './test'

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

/**
 * Is one thing compared with itself at moments that have names: dry, wet, dry again.
 * @example comparesMoments(soakUpPlan()) // => false
 */
export function comparesMoments(plan: Plan): boolean {
  return hasNamedMoments(plan) && plan.watch.named.length > 1 && testOf(plan).way.isAmount && activeConditions(plan).length === 1
}
