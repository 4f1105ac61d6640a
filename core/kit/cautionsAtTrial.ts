import { conditionName, conditionValue, keptFactors, type Plan } from '../lesson'
import { measuredCards } from '../test'
import { convert } from '../quantity'
import { CAUTIONS, type Caution } from './cautionNames'
import { cautionsInWords, doerOf, HOT_FROM } from './cautions'
import { isFor } from './isFor'

/**
 * What a group meets in a trial of one condition and has to be told there: from the things that lie before it, its condition and how it is done. What
 * was cut or boiled beforehand is not met, and what does not apply here is left out.
 * @example cautionsAtTrial(soakUpPlan(), 'tissue') // => ['spill']
 */
export function cautionsAtTrial(plan: Plan, condition: string): Caution[] {
  const own = plan.conditions.find(({ id }) => id === condition)
  const value = own && conditionValue(plan, own)
  const hot = value !== undefined && (convert(value, plan.conditionUnit, 'degC') ?? -Infinity) > HOT_FROM
  const things = plan.materials.filter((material) => isFor(plan, material, condition))
  const ofThings = things.flatMap(({ name, cautions }) => [...cautionsInWords(name), ...cautions].filter(isMet(name)))
  const said = [
    ...keptFactors(plan).map(({ how }) => how),
    ...measuredCards(plan).flatMap(({ name, method }) => [name, method.tool]),
    ...plan.resetList,
    ...(own ? [conditionName(plan, own)] : []),
  ]
  const found = [...ofThings, ...said.flatMap((text) => cautionsInWords(text).filter(isMet(text))), ...(hot ? ['hot'] : [])]
  return CAUTIONS.filter((caution) => found.includes(caution) && !Object.hasOwn(plan.cautionsNotHere, caution))
}

/** Guillotines and knives are for the adult who cuts beforehand. */
function isMet(words: string): (caution: string) => boolean {
  return (caution) => caution !== 'blade' || doerOf('blade', words) !== 'adult-only'
}
