import { bestNumberOf, bestOf, type Plan } from '../lesson'
import type { Evidence } from './grade'

/**
 * The conditions that are compared, the best first; undefined where nothing is best or the first two are level.
 * @example bestFirst(soakUpPlan(), evidence)[0] // => 'kitchen-roll'
 */
export function bestFirst(plan: Plan, { order, tied, summaries }: Evidence): string[] | undefined {
  const best = bestOf(plan)
  if (best === 'none' || order.length < 2) return undefined
  if (best === 'most') return tied.length > 1 ? undefined : order
  const value = (id: string) => summaries.find(({ condition }) => condition === id)?.evened ?? NaN
  const number = bestNumberOf(plan)
  if (best === 'nearest' && number === undefined) return undefined
  const away = (id: string) => (best === 'nearest' ? Math.abs(value(id) - number!) : -order.indexOf(id))
  const ranked = [...order].sort((a, b) => away(a) - away(b))
  const level = best === 'nearest' ? away(ranked[0]!) === away(ranked[1]!) : value(ranked[0]!) === value(ranked[1]!)
  return level ? undefined : ranked
}
