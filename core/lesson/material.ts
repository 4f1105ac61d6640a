import { TRIAL_PARTS, type TrialPart } from './timing'

export const PER = ['class', 'group', 'child', 'condition', 'trial'] as const
export const USES = ['up', 'again'] as const
/** Who may do what is to be taken care of. */
export const DOERS = ['adult-only', 'adult-beside', 'child'] as const
export type Doer = (typeof DOERS)[number]

/** A thing of the kit. */
export interface Material {
  id: string
  name: string
  /** As people write it: "1 strip", "2 tbsp", "200 mL". */
  amount: string
  per: (typeof PER)[number]
  /** Somebody said for whom or what the amount is; until then it stands at each group. */
  perSaid: boolean
  /** Only for this condition (a strip of tissue); null for all of them. */
  condition: string | null
  use: (typeof USES)[number]
  /** Minutes to rinse and dry before it can be used again. */
  rinse: number
  /** Used again: so many in all go round between the groups; null where every group has its own. */
  goesRound: number | null
  /** Steps of a trial in which it is in use; between the first and the last of them nobody else can have it. */
  inUse: TrialPart[]
  /** Share of spares, 0.1 is one in ten. */
  spare: number
  /** The thing in the cupboard that it is; its stock, place, pack and price count then. */
  thing: string | null
  /** What is there, as people write it ("26", "1.5 L"); empty when not counted. */
  stock: string
  place: string
  /** What one pack holds, as people write it. */
  pack: string
  /** Price of one pack, as people write it. */
  price: string
  /** Grams in one millilitre; without it no volume becomes a mass. */
  density: number | null
  substitutes: Substitute[]
  preparation: Preparation | null
  /** The teacher has put what is short on the shopping list. */
  toBuy: boolean
  cautions: string[]
}

/** What could be taken instead. */
export interface Substitute {
  id: string
  name: string
  /** As people write it; empty when it is as much as of the thing itself. */
  amount: string
  stock: string
  /** What changes with it. */
  note: string
}

export const PREPARATIONS = ['soak', 'freeze', 'cut', 'boil', 'grow', 'other'] as const
export type PreparationKind = (typeof PREPARATIONS)[number]

/** What has to be done with a thing before the lesson. */
export interface Preparation {
  kind: PreparationKind
  words: string
  /** Minutes of work, whatever the amount. */
  minutes: number
  /** Seconds of work on each piece, on top. */
  secondsEach: number
  /** Hours that it then has to stand before the lesson begins. */
  hours: number
}

export interface OwnCaution {
  id: string
  text: string
  doer: Doer
  acknowledged: boolean
}

/** What is only looked at when a trial is over, and what runs along with it. */
const READS = /\b(rulers?|tapes?|scales?|balances?|thermometers?|meters?|\w+meters?|probes?|sensors?|protractors?|magnif\w+)\b/i
const TIMES = /\b(stopwatch(es)?|timers?|clocks?)\b/i

/** What nobody uses up: it comes back after the trial. */
const TOOLS =
  /\b(?:scissors|hole punch|stapler|tubs?|bowls?|basins?|trays?|jugs?|buckets?|funnels?|spoons?|sieves?|magnets?|torch(?:es)?|mirrors?|tweezers|pipettes?|syringes?|clamps?|stands?|ramps?|stopwatch(?:es)?|timers?|calculators?|screens?|beakers?|(?:measuring )?cylinders?)$/i

/** Is a thing of that name a tool, which is used again. `isTool('metre ruler') // true` */
export function isTool(name: string): boolean {
  return TOOLS.test(name.trim()) || READS.test(name) || TIMES.test(name)
}

/**
 * In which steps of a trial a thing of that name is usually in use: what measures when it is read, everything else from set-up to reset.
 * @example usualUse('metre ruler') // => ['read']
 */
export function usualUse(name: string): TrialPart[] {
  if (TIMES.test(name)) return ['run', 'read']
  return READS.test(name) ? ['read'] : [...TRIAL_PARTS]
}
