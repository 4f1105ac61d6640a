import { BEST, type Plan } from '../lesson'
import { kindOf } from './kinds'
import { testOf } from './test'

export type Best = (typeof BEST)[number]

/** Words of a card of which less is better, whoever reads them; of what is built, words of which more is. */
const LESS_IS_BETTER =
  /\b(?:is|are|was|were|water|much) left\b|\bleft (?:over|behind)\b|\b(?:remain\w*|spill\w*|spilt|los[te]s?|losses|leak\w*|wasted?)\b/i
const MORE_IS_BETTER_BUILT =
  /\b(?:holds?|carr(?:y|ies)|lifts?|bears?|supports?|floats?|how (?:tall|high|far)|height|lasts?|stays up)\b/i

/**
 * What is best: what the class said, else what the card's words say: least of what is left or spilled, most of what a thing that is built holds, first of places.
 * Where nobody said and no word tells it, nothing is best: conditions only differ.
 * @example bestOf(soakUpPlan()) // => 'most'
 */
export function bestOf(plan: Plan): Best {
  const { method, measure, way } = testOf(plan)
  if (!measure || !method || !way.ranks) return method?.best ?? 'none'
  return method.best ?? (way.isPlace ? 'most' : bestInWords(plan, measure.name))
}

/** Where the least is left the most was used. */
const WHAT_IS_LEFT = /\bleft\b|\bremain\w*/i

function bestInWords(plan: Plan, name: string): Best {
  const { method } = testOf(plan)
  const isUsed = (method?.way === 'number' && method.eachIs === 'used') || method?.counts === 'loss'
  if (isUsed && WHAT_IS_LEFT.test(name)) return 'most'
  if (LESS_IS_BETTER.test(name)) return 'least'
  return kindOf(plan).improves && MORE_IS_BETTER_BUILT.test(name) ? 'most' : 'none'
}

/** Did somebody say what is best, or does a word of the card tell it: else it has to be asked. `isBestKnown(soakUpPlan()) // true` */
export function isBestKnown(plan: Plan): boolean {
  const { method, measure, way } = testOf(plan)
  return !measure || !way.ranks || method?.best !== null || bestOf(plan) !== 'none'
}

/** The number that the best one comes nearest to; undefined where another thing is best. */
export function bestNumberOf(plan: Plan): number | undefined {
  const method = testOf(plan).method
  return method?.best === 'nearest' ? (method.bestNumber ?? undefined) : undefined
}
