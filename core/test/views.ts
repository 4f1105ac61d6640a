import type { Plan } from '../lesson'

const wholes = new WeakMap<Plan, Plan>()

/** Remembers of which lesson this is what one measure or one series sees. */
export function asViewOf(plan: Plan, view: Plan): Plan {
  wholes.set(view, wholeOf(plan))
  return view
}

/** The lesson that a view is one of; a plan that is no view is its own. */
export function wholeOf(plan: Plan): Plan {
  return wholes.get(plan) ?? plan
}
