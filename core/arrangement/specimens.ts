import { ownersIn, type Plan } from '../lesson'
import { comesAgain, kindOf } from '../test'
import { arrangementOf } from './arrangement'

/** How many real things there are of each condition: a fresh one in every trial, one a group, or one that everybody looks at. */
export type Specimens = 'a-trial' | 'a-group' | 'one'

/**
 * What the readings of a condition are readings of. Where the same thing comes again and groups come to it (a circuit, one apparatus), or where the class has one that
 * everybody looks at, there is one real thing however many read it. Where the class watches over time each group has a jar of its own unless it says otherwise.
 * @example specimensOf(soakUpPlan({ things: 'class' })) // => 'one'
 */
export function specimensOf(plan: Plan): Specimens {
  const owners = ownersIn(plan).length
  if (plan.things === 'class' || (owners === 1 && plan.groups.length > 1)) return 'one'
  if (kindOf(plan).watches) return 'a-group'
  if (!comesAgain(plan)) return 'a-trial'
  const way = arrangementOf(plan)
  return plan.groups.length === 1 || way === 'circuit' || way === 'together' ? 'one' : 'a-group'
}
