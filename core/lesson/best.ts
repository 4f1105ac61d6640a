import { unitOf } from '../quantity'
import { measuredCard } from './cards'
import { BEST, type Plan } from './plan'

export type Best = (typeof BEST)[number]

/**
 * What is best: what the class said; where nobody was asked, of places the first and of amounts the most, while times and temperatures have no best.
 * @example bestOf(soakUpPlan()) // => 'most'
 */
export function bestOf(plan: Plan): Best {
  const method = measuredCard(plan)?.method
  if (!method) return 'none'
  if (method.best !== null) return method.best
  const { dimension } = unitOf(method.unit)
  return dimension === 'time' || dimension === 'temperature' || plan.kind === 'before-after' ? 'none' : 'most'
}

/** The number that the best one comes nearest to; undefined where another thing is best. */
export function bestNumberOf(plan: Plan): number | undefined {
  const method = measuredCard(plan)?.method
  return method?.best === 'nearest' ? (method.bestNumber ?? undefined) : undefined
}
