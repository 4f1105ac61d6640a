import { activeConditions, conditionName, conditionValue, type Material, type Plan, type Doer } from '../lesson'
import { measuredCards } from '../test'
import { convert } from '../quantity'
import { CAUTIONS, type Caution } from './cautionNames'
import { cautionsOfThings } from './things/read'

/** Who may do the step that the caution is about. */
export const DOER: Record<Caution, Doer> = {
  hot: 'adult-only',
  flame: 'adult-only',
  mains: 'adult-only',
  'very-cold': 'adult-only',
  blade: 'adult-beside',
  glass: 'adult-beside',
  latex: 'child',
  'food-allergy': 'child',
  'small-parts': 'adult-beside',
  magnets: 'adult-beside',
  batteries: 'adult-beside',
  mould: 'child',
  'burning-liquid': 'adult-only',
  irritant: 'adult-beside',
  eyes: 'adult-beside',
  snapping: 'adult-beside',
  climbing: 'adult-only',
  spill: 'child',
  soil: 'child',
  sun: 'child',
}

/** What cuts and is not for children at all. */
const ADULT_BLADE = /\b(guillotine|knife|knives|craft blades?|saw|skewers?)\b/

/** From here on water scalds: the usual limit for what children touch. In degrees Celsius. */
export const HOT_FROM = 45

/** Cautions that a material calls for: those it was given and those that its name or its preparation gives away. */
export function cautionsOfMaterial(material: Material): Caution[] {
  const { name, preparation } = material
  const kind = preparation?.kind === 'boil' ? 'boil ' : ''
  const named = cautionsInWords(`${name}, ${kind}${preparation?.words ?? ''}`)
  return CAUTIONS.filter((caution) => material.cautions.includes(caution) || named.includes(caution))
}

/**
 * Cautions that words call for, in the order of the list: a butter knife of plastic cuts nobody, and a magnifying glass gathers the sun.
 * @example cautionsInWords('hot water from the kettle') // => ['hot', 'spill']
 * @example cautionsInWords('magnifying glass') // => ['sun']
 */
export function cautionsInWords(text: string): Caution[] {
  const found = cautionsOfThings(text)
  const hot = hottestIn(text.toLowerCase()) > HOT_FROM
  return CAUTIONS.filter((caution) => found.includes(caution) || (hot && caution === 'hot'))
}

/** The highest temperature that is written in a text, in degrees Celsius. */
function hottestIn(text: string): number {
  const written = [...text.matchAll(/(\d+(?:[.,]\d+)?)\s*(?:°|deg(?:rees)?)\s*(c|f)?/g)]
  return Math.max(
    -Infinity,
    ...written.map(([, digits, scale]) => convert(Number(digits!.replace(',', '.')), scale === 'f' ? 'degF' : 'degC', 'degC')!),
  )
}

/** Who may do a material's step that a caution is about. `doerOf('blade', 'guillotine') // 'adult-only'` */
export function doerOf(caution: Caution, words: string): Doer {
  return caution === 'blade' && ADULT_BLADE.test(words.toLowerCase()) && !/scissors?/i.test(words) ? 'adult-only' : DOER[caution]
}

/** Somebody grown-up has to get this material ready. `isForAdultsOnly(plan.materials.at(-1)!) // true` */
export function isForAdultsOnly(material: Material): boolean {
  return cautionsOfMaterial(material).some((caution) => doerOf(caution, material.name) === 'adult-only')
}

/** Where a caution comes from, beside the materials. */
export type CautionSource = 'conditions' | 'kept-the-same' | 'method'

export interface CautionOfPlan {
  caution: Caution
  materials: string[]
  from: CautionSource[]
  doer: Doer
  acknowledged: boolean
  /** Why it does not apply here, where the teacher says so. */
  notHere: string | undefined
}

/** All cautions of a plan with the materials and the parts of the plan they come from, in a fixed order. None is ever left out. */
export function cautionsOf(plan: Plan): CautionOfPlan[] {
  const found = plan.materials.map((material) => ({ material, cautions: cautionsOfMaterial(material) }))
  const method = cautionsOfMethod(plan)
  return CAUTIONS.map((caution) => {
    const materials = found.filter((one) => one.cautions.includes(caution)).map((one) => one.material)
    return {
      caution,
      materials: materials.map(({ id }) => id),
      from: method.filter(([, cautions]) => cautions.includes(caution)).map(([source]) => source),
      doer: doerOf(caution, materials.map(({ name }) => name).join(', ')),
      acknowledged: plan.cautionsAcknowledged.includes(caution),
      notHere: Object.hasOwn(plan.cautionsNotHere, caution) ? plan.cautionsNotHere[caution] : undefined,
    }
  }).filter((one) => one.materials.length > 0 || one.from.length > 0)
}

function cautionsOfMethod(plan: Plan): [CautionSource, Caution[]][] {
  const active = activeConditions(plan)
  const measured = measuredCards(plan).flatMap(({ name, method }) => [name, method.tool])
  const hot = active.some((condition) => {
    const value = conditionValue(plan, condition)
    return value !== undefined && (convert(value, plan.conditionUnit, 'degC') ?? -Infinity) > HOT_FROM
  })
  const inConditions = cautionsInWords(active.map((condition) => conditionName(plan, condition)).join(', '))
  const kept = plan.factors.filter(({ id }) => id !== plan.changed)
  return [
    ['conditions', hot ? [...new Set<Caution>(['hot', ...inConditions])] : inConditions],
    ['kept-the-same', cautionsInWords(kept.map(({ how }) => how).join(', '))],
    ['method', cautionsInWords([...measured, ...plan.resetList].join(', '))],
  ]
}

/** Everything has been seen: each caution acknowledged or answered, the teacher's own ones too. */
export function cautionsSeen(plan: Plan): boolean {
  return (
    cautionsOf(plan).every(({ acknowledged, notHere }) => acknowledged || notHere !== undefined) &&
    plan.ownCautions.every(({ acknowledged }) => acknowledged)
  )
}
