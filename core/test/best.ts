import { unitOf } from '../quantity'
import { BEST, type Plan } from '../lesson'
import { canBeNothing, resultUnit } from './counts'
import { testOf } from './test'

export type Best = (typeof BEST)[number]

/**
 * What is best: what the class said; where nobody was asked, of places the first and of amounts the most, while times, temperatures, changes and losses have no best.
 * @example bestOf(soakUpPlan()) // => 'most'
 */
export function bestOf(plan: Plan): Best {
  const method = testOf(plan).method
  if (!method) return 'none'
  if (method.best !== null) return method.best
  if (!testOf(plan).way.ranks) return 'none'
  const { dimension } = unitOf(resultUnit(plan))
  return dimension === 'time' || dimension === 'temperature' || canBeNothing(plan) || method.eachIs === 'used' ? 'none' : 'most'
}

/** The number that the best one comes nearest to; undefined where another thing is best. */
export function bestNumberOf(plan: Plan): number | undefined {
  const method = testOf(plan).method
  return method?.best === 'nearest' ? (method.bestNumber ?? undefined) : undefined
}
