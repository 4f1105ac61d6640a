import { activeConditions, type Plan } from '../lesson'
import { canBeNothing, comparesMoments, kindOf, momentsOf, testOf } from '../test'

/**
 * Of what is asked whether it becomes more, less or stays the same: each condition, or each moment after the first where one thing is compared with itself, or every
 * condition but the one that they are held against.
 * @example changesAsked(soakUpPlan()) // => ['tissue', 'writing-paper', 'card']
 */
export function changesAsked(plan: Plan): string[] {
  const against = heldAgainst(plan)
  if (!comparesMoments(plan)) return activeConditions(plan).flatMap(({ id }) => (id === against ? [] : [id]))
  return momentsOf(plan)
    .slice(1)
    .map(({ id }) => id)
}

/**
 * The condition that “more, less or the same” is said beside: the baseline, else the first. undefined where a thing is held against itself.
 * @example heldAgainst(soakUpPlan()) // => 'kitchen-roll'
 */
export function heldAgainst(plan: Plan): string | undefined {
  const { readsTwice, watches } = kindOf(plan)
  // What is a difference already is more or less than nothing.
  if (comparesMoments(plan) || readsTwice || watches || canBeNothing(plan)) return undefined
  const conditions = activeConditions(plan)
  return (conditions.find(({ baseline }) => baseline) ?? conditions[0])?.id
}

/** How far two things may lie apart and still be called the same: what is worth talking about, and never less than a mark of the instrument. */
export function sameWithin(plan: Plan): number {
  const { resolution, amount } = testOf(plan)
  return heldAgainst(plan) === undefined ? resolution / 2 : Math.max(resolution, amount?.differenceThatMatters ?? 0)
}
