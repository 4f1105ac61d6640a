import { activeConditions, conditionName, conditionValue, measuredCard, type Material, type Plan, type Doer } from '../lesson'
import { convert } from '../quantity'

export const CAUTIONS = [
  'hot',
  'flame',
  'blade',
  'glass',
  'latex',
  'food-allergy',
  'small-parts',
  'magnets',
  'batteries',
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

export const DOER: Record<Caution, Doer> = {
  hot: 'adult-only',
  flame: 'adult-only',
  blade: 'adult-beside',
  glass: 'adult-beside',
  latex: 'child',
  'food-allergy': 'child',
  'small-parts': 'adult-beside',
  magnets: 'adult-beside',
  batteries: 'adult-beside',
  mould: 'child',
  'burning-liquid': 'adult-only',
  snapping: 'adult-beside',
  climbing: 'adult-only',
  spill: 'child',
  soil: 'child',
  sun: 'child',
}

/** What cuts and is not for children at all. */
const ADULT_BLADE = /\b(guillotine|knife|knives|craft blades?|saw|skewers?)\b/

/** From here on water scalds: the usual limit for what children touch. In degrees Celsius. */
const HOT_FROM = 45

// Words that call for a caution. The list only ever adds; a teacher can add more to a material by hand.
const TELLTALE: [Caution, RegExp][] = [
  ['hot', /\b(hot|boil\w*|kettle|steam\w*|iron)\b/],
  ['flame', /\b(candles?|flames?|match(es)?|lighter|tea ?lights?|stove|hob|burner)\b/],
  ['blade', /\b(scissors?|knife|knives|blades?|cutter|guillotine|saw|skewers?)\b/],
  ['glass', /\b(glass|glass jars?|mirror)\b/],
  ['latex', /\b(latex|rubber gloves?|balloons?|elastic|rubber bands?)\b/],
  [
    'food-allergy',
    /\b(nuts?|peanuts?|almonds?|hazelnuts?|eggs?|milk|cream|yoghurt|yogurt|cheese|butter|wheat|flour|bread|yeast|sesame|soya|honey)\b/,
  ],
  ['small-parts', /\b(beads?|paper ?clips?|small parts?|washers?|drawing pins?|seeds?|dried (peas|beans)|lentils|rice)\b/],
  ['magnets', /\bmagnets?\b/],
  ['batteries', /\b(batter(y|ies)|button cells?|torch(es)?)\b/],
  ['mould', /\b(mould\w*|mold\w*|rotting|rotten|stale bread)\b/],
  ['burning-liquid', /\b(spirits?|alcohol|petrol|acetone|hand gel|nail varnish remover|methylated)\b/],
  ['snapping', /\b(elastic|rubber bands?|catapult|springs?|launch\w*)\b/],
  ['climbing', /\b(ladder|step ?ladder|from (a|the) (table|chair|window|stairs|balcony))\b/],
  ['spill', /\b(water|syrup|oil|tray of|jug|juice|soap)\b/],
  ['soil', /\b(soil|compost|earth|seeds?|plants?|cress|pollen|flowers?)\b/],
  ['sun', /\b(sunlight|sunshine|outdoors|in the sun)\b/],
]

/** Cautions that a material calls for: those it was given and those that its name or its preparation gives away. */
export function cautionsOfMaterial(material: Material): Caution[] {
  const { name, preparation } = material
  const kind = preparation?.kind === 'boil' ? 'boil ' : ''
  const named = cautionsInWords(`${name}, ${kind}${preparation?.words ?? ''}`)
  return CAUTIONS.filter((caution) => material.cautions.includes(caution) || named.includes(caution))
}

/** Cautions that words call for. `cautionsInWords('hot water from the kettle') // ['hot', 'spill']` */
export function cautionsInWords(text: string): Caution[] {
  const said = text.toLowerCase()
  const found = TELLTALE.filter(([, words]) => words.test(said)).map(([caution]) => caution)
  return hottestIn(said) > HOT_FROM && !found.includes('hot') ? ['hot', ...found] : found
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
  const measured = measuredCard(plan)
  const hot = active.some((condition) => {
    const value = conditionValue(plan, condition)
    return value !== undefined && (convert(value, plan.conditionUnit, 'degC') ?? -Infinity) > HOT_FROM
  })
  const inConditions = cautionsInWords(active.map((condition) => conditionName(plan, condition)).join(', '))
  const kept = plan.factors.filter(({ id }) => id !== plan.changed)
  return [
    ['conditions', hot ? [...new Set<Caution>(['hot', ...inConditions])] : inConditions],
    ['kept-the-same', cautionsInWords(kept.map(({ how }) => how).join(', '))],
    ['method', cautionsInWords([measured?.name, measured?.method.tool, ...plan.resetList].join(', '))],
  ]
}

/** Everything has been seen: each caution acknowledged or answered, the teacher's own ones too. */
export function cautionsSeen(plan: Plan): boolean {
  return (
    cautionsOf(plan).every(({ acknowledged, notHere }) => acknowledged || notHere !== undefined) &&
    plan.ownCautions.every(({ acknowledged }) => acknowledged)
  )
}
