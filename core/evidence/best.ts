import { type Plan } from '../lesson'
import { bestNumberOf, bestOf } from '../test'
import type { Evidence, Grade } from './grade'

/**
 * The conditions that are compared, the best first; undefined where nothing is best or the first two are level.
 * @example bestFirst(soakUpPlan(), evidence)[0] // => 'kitchen-roll'
 */
export function bestFirst(
  plan: Plan,
  {
    order,
    tied,
    summaries,
  }: Pick<Evidence, 'order' | 'tied'> & { summaries: Pick<Evidence['summaries'][number], 'condition' | 'evened'>[] },
): string[] | undefined {
  const best = bestOf(plan)
  if (best === 'none' || order.length < 2) return undefined
  if (best === 'most') return tied.length > 1 ? undefined : order
  const value = (id: string) => evenedOf({ summaries }, id) ?? NaN
  const number = bestNumberOf(plan)
  if (best === 'nearest' && number === undefined) return undefined
  const away = (id: string) => (best === 'nearest' ? Math.abs(value(id) - number!) : -order.indexOf(id))
  const ranked = [...order].sort((a, b) => away(a) - away(b))
  const level = best === 'nearest' ? away(ranked[0]!) === away(ranked[1]!) : value(ranked[0]!) === value(ranked[1]!)
  return level ? undefined : ranked
}

/**
 * A condition's average with the groups' levels evened out; undefined where nothing was read of it.
 * @example evenedOf(evidence, 'nowhere') // => undefined
 */
export function evenedOf(
  { summaries }: { summaries: Pick<Evidence['summaries'][number], 'condition' | 'evened'>[] },
  id: string,
): number | undefined {
  return summaries.find(({ condition }) => condition === id)?.evened
}

const PODIUM = 3

/**
 * The three best, the first one first; empty where nothing is best, or where two that follow each other cannot be told apart.
 * @example podium(soakUpPlan(), evidence) // => ['kitchen-roll', 'card']
 */
export function podium(plan: Plan, evidence: Evidence): string[] {
  const ranked = bestFirst(plan, evidence)?.slice(0, PODIUM) ?? []
  const told = ranked.slice(1).every((id, place) => gradeBetween(evidence, ranked[place]!, id) === 'clear')
  return evidence.grade === 'clear' && told ? ranked : []
}

/**
 * How sure the comparison of two conditions is; where no pair was weighed by itself, how sure the whole is.
 * @example gradeBetween(evidence, 'tissue', 'card') // => 'clear'
 */
export function gradeBetween({ pairs, neighbours, grade }: Evidence, a: string, b: string): Grade {
  const both = [a, b]
  const pair = pairs.find((one) => both.includes(one.a) && both.includes(one.b))
  return (pair ?? neighbours.find(({ more, less }) => both.includes(more) && both.includes(less)))?.grade ?? grade
}

/** Is each end of the order told apart from the one next to it: only then has the class a first and a last one. */
export function endsAreTold(evidence: Evidence): boolean {
  const { order } = evidence
  const [first, second] = order
  const [beforeLast, last] = order.slice(-2)
  if (first === undefined || second === undefined) return false
  return gradeBetween(evidence, first, second) === 'clear' && gradeBetween(evidence, beforeLast!, last!) === 'clear'
}
