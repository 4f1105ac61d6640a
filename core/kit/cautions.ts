import type { Material, Plan } from '../lesson'

export const CAUTIONS = [
  'hot-water',
  'flame',
  'blade',
  'glass',
  'allergy',
  'swallowing',
  'mould',
  'burning-liquid',
  'snapping',
  'climbing',
  'spill',
  'soil',
  'sun',
] as const
export type Caution = (typeof CAUTIONS)[number]

/** Who may do the step that the caution is about. */
export type Doer = 'adult-only' | 'adult-beside' | 'child'

export const DOER: Record<Caution, Doer> = {
  'hot-water': 'adult-only',
  flame: 'adult-only',
  blade: 'adult-beside',
  glass: 'adult-beside',
  allergy: 'child',
  swallowing: 'adult-beside',
  mould: 'child',
  'burning-liquid': 'adult-only',
  snapping: 'adult-beside',
  climbing: 'adult-only',
  spill: 'child',
  soil: 'child',
  sun: 'child',
}

// Words in a material's name that call for a caution. The list only ever adds; a teacher can add more to a material by hand.
const TELLTALE: [Caution, RegExp][] = [
  ['hot-water', /\b(hot|boil\w*|kettle|steam\w*)\b/],
  ['flame', /\b(candle|flame|match(es)?|lighter|tea ?light|stove|hob)\b/],
  ['blade', /\b(scissors?|knife|knives|blade|cutter|guillotine|saw)\b/],
  ['glass', /\bglass\b/],
  ['allergy', /\b(latex|rubber gloves?|nuts?|peanuts?|almonds?|eggs?|milk|pollen|wheat|flour|yeast)\b/],
  ['swallowing', /\b(magnets?|beads?|batter(y|ies)|button cells?|paper ?clips?|small parts?)\b/],
  ['mould', /\b(mould\w*|mold\w*|rotting|rotten|stale bread)\b/],
  ['burning-liquid', /\b(spirit|alcohol|petrol|acetone|white spirit)\b/],
  ['snapping', /\b(elastic|rubber bands?|catapult|spring)\b/],
  ['climbing', /\b(ladder|step ?ladder)\b/],
  ['spill', /\b(water|syrup|oil|tray of|jug)\b/],
  ['soil', /\b(soil|compost|seeds?|plants?|cress)\b/],
  ['sun', /\b(sunlight|sunshine|outdoors)\b/],
]

/** Cautions that a material calls for: those it was given and those its name gives away. */
export function cautionsOfMaterial(material: Material): Caution[] {
  const named = cautionsInWords(material.name)
  return CAUTIONS.filter((caution) => material.cautions.includes(caution) || named.includes(caution))
}

/** Cautions that words call for. `cautionsInWords('hot water from the kettle') // ['hot-water', 'spill']` */
export function cautionsInWords(text: string): Caution[] {
  const said = text.toLowerCase()
  return TELLTALE.filter(([, words]) => words.test(said)).map(([caution]) => caution)
}

export interface CautionOfPlan {
  caution: Caution
  materials: string[]
  doer: Doer
  acknowledged: boolean
}

/** All cautions of a plan with the materials they come from, in a fixed order. */
export function cautionsOf(plan: Plan): CautionOfPlan[] {
  const found = plan.materials.map((material) => ({ material, cautions: cautionsOfMaterial(material) }))
  return CAUTIONS.map((caution) => ({
    caution,
    materials: found.filter((one) => one.cautions.includes(caution)).map((one) => one.material.id),
    doer: DOER[caution],
    acknowledged: plan.cautionsAcknowledged.includes(caution),
  })).filter((one) => one.materials.length > 0)
}
