import { activeConditions, conditionName, conditionValue, measuredCard, type Material, type Plan, type Doer } from '../lesson'
import { convert } from '../quantity'

export const CAUTIONS = [
  'hot',
  'flame',
  'mains',
  'very-cold',
  'blade',
  'glass',
  'latex',
  'food-allergy',
  'small-parts',
  'magnets',
  'batteries',
  'mould',
  'burning-liquid',
  'irritant',
  'eyes',
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

// Words that call for a caution. The list only ever adds; a teacher can add more to a material by hand.
const TELLTALE: Record<Caution, string> = {
  hot: 'hot, boil, boils, boiled, boiling, kettle, steam, steaming, iron, lamp, microwave, oven, toaster, hair dryer, hairdryer, glue gun, hot plate, heater, radiator, plaster of paris',
  flame:
    'candle, candles, flame, flames, match, matches, lighter, tea light, tea lights, tealight, tealights, stove, hob, burner, splint, splints',
  mains:
    'lamp, microwave, oven, toaster, hair dryer, hairdryer, glue gun, hot plate, heater, electric, plug, plug in, plugged in, mains, extension lead, fan heater, socket, vacuum cleaner',
  'very-cold': 'dry ice, freezer spray, freeze spray, liquid nitrogen, cool spray',
  blade:
    'scissors, scissor, knife, knives, blade, blades, cutter, cutters, guillotine, saw, skewer, skewers, scalpel, drawing pin, drawing pins, pin, pins, needle, needles, cocktail stick, cocktail sticks, nail, nails, grater, peeler',
  glass: 'glass, mirror, mirrors, light bulb, light bulbs',
  latex: 'latex, rubber glove, rubber gloves, balloon, balloons, elastic, rubber band, rubber bands, elastic band, elastic bands',
  'food-allergy':
    'nut, nuts, peanut, peanuts, almond, almonds, hazelnut, hazelnuts, walnut, walnuts, egg, eggs, milk, cream, yoghurt, yogurt, cheese, butter, wheat, flour, bread, yeast, sesame, soya, honey, custard, chocolate, biscuit, biscuits, crackers, pasta',
  'small-parts':
    'bead, beads, paper clip, paper clips, paperclip, paperclips, clips, small part, small parts, washer, washers, drawing pin, drawing pins, pin, pins, seed, seeds, dried peas, dried beans, dried bean, pea, peas, bean, beans, lentils, rice, coin, coins, button, buttons, ball bearing, ball bearings, sequins, googly eyes, pom poms, nuts and bolts, bolt, bolts, screw, screws',
  magnets: 'magnet, magnets, magnetic',
  batteries: 'battery, batteries, button cell, button cells, coin cell, coin cells, torch, torches',
  mould: 'mould, mouldy, moulds, mold, moldy, rotting, rotten, rot, stale bread',
  'burning-liquid':
    'spirit, spirits, alcohol, petrol, acetone, paraffin, hand gel, sanitiser, sanitizer, hand sanitiser, lighter fluid, lighter fuel, nail varnish remover, nail polish remover, methylated, meths, white spirit, perfume, turpentine, lamp oil, hairspray',
  irritant:
    'bleach, washing soda, chilli, chili, pepper powder, caustic, ammonia, drain cleaner, oven cleaner, washing powder, dishwasher tablet, dishwasher tablets, detergent powder, lime, plaster of paris, cement, acid, peroxide',
  eyes: 'sanitiser, sanitizer, freezer spray, freeze spray, spray, bleach, vinegar, lemon juice, chilli, chili, talc, talcum, talcum powder, pepper, sand, glitter, launcher, catapult, skewer, skewers, filings, washing powder, plaster of paris, salt spray, wire, wires, flying, dust, acid, peroxide',
  snapping: 'elastic, rubber band, rubber bands, catapult, spring, springs, launch, launcher, launched, launching, stretched wire',
  climbing:
    'ladder, step ladder, stepladder, balcony rail, climbing frame, climb on, climb onto, from the roof, from upstairs, from a wall, from the wall, from a height, from high up',
  spill: 'water, ice, syrup, oil, tray of, jug, juice, soap, milk, vinegar, shampoo, washing-up liquid, paint',
  soil: 'soil, compost, earth, seed, seeds, plant, plants, cress, pollen, flower, flowers, hay, straw, feathers, leaves',
  sun: 'sunlight, sunshine, outdoors, in the sun, magnifying glass, magnifier, burning glass, hand lens',
}

/** Names in which such a word means something else, with what they call for themselves. */
const OTHERWISE: Record<string, Caution[]> = {
  'magnifying glass': ['sun'],
  'glass bead': ['small-parts'],
  'glass beads': ['small-parts'],
  'glass of': [],
  'milk carton': [],
  'milk bottle': [],
  'egg box': [],
  'egg boxes': [],
  'egg cup': [],
  'egg timer': [],
  'shaving cream': ['eyes'],
  'hand cream': [],
  'sun cream': [],
  'butter bean': ['small-parts'],
  'butter beans': ['small-parts'],
  'butter knife': [],
  'bread board': [],
  'bread bag': [],
  'wing nut': ['small-parts'],
  'button cell': ['batteries'],
  'button cells': ['batteries'],
  'coin cell': ['batteries'],
  'dry ice': ['very-cold'],
  'ironing board': [],
  'iron filings': ['eyes', 'magnets'],
  'iron nail': ['blade', 'small-parts'],
  'iron nails': ['blade', 'small-parts'],
  'nail varnish remover': ['burning-liquid'],
  'nail polish remover': ['burning-liquid'],
  'barbecue lighter fluid': ['burning-liquid'],
  'lighter fluid': ['burning-liquid'],
  'lamp oil': ['burning-liquid', 'spill'],
  'white spirit': ['burning-liquid'],
  'spirit level': [],
  'spring balance': [],
  'spring balances': [],
  'spring water': ['spill'],
  'spring onion': [],
  'jelly mould': [],
  'cake mould': [],
  'clothes pin': [],
  'rolling pin': [],
  'pin board': [],
  'match box': [],
  'water-based paint': ['spill'],
  'lime green': [],
  'pepper pot': [],
  'plant pot': [],
  'plant pots': [],
  'flower pot': [],
  'coin battery': ['batteries'],
}

/** Words as they stand in a text, with nothing of a word before or behind. */
function standing(words: string[]): RegExp {
  const longestFirst = [...words].sort((a, b) => b.length - a.length).join('|')
  return new RegExp(`(?<![\\p{L}])(?:${longestFirst})(?![\\p{L}])`, 'gu')
}

/** "Standing on a chair", "from the table": somebody or something is up there. */
const UP_THERE =
  /\b(?:stand(?:s|ing)? on|from|off) (?:a|the) (?:table|chair|desk|stool|bench|window ?sill|window|stairs|balcony)\b/u

const TELLING = CAUTIONS.map((caution) => [caution, standing(TELLTALE[caution].split(', '))] as const)
const MEANING_OTHERWISE = standing(Object.keys(OTHERWISE))

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
  const said = text.toLowerCase()
  const named = (said.match(MEANING_OTHERWISE) ?? []).flatMap((name) => OTHERWISE[name]!)
  const rest = said.replace(MEANING_OTHERWISE, ' , ')
  const found = TELLING.filter(([, words]) => rest.search(words) >= 0).map(([caution]) => caution)
  const hot = hottestIn(said) > HOT_FROM ? (['hot'] as const) : []
  const up = UP_THERE.test(rest) ? (['climbing'] as const) : []
  return CAUTIONS.filter((caution) => [...hot, ...up, ...named, ...found].includes(caution))
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
