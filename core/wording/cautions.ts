import { CAUTIONS, cautionsAtTrial, cautionsOf, type Caution, type CautionSource } from '../kit'
import type { Doer, Plan } from '../lesson'
import { list } from './names'

const CAUTION_WORDS: Record<Caution, { name: string; what: string }> = {
  hot: {
    name: 'Hot, above 45 °C',
    what: 'An adult heats and pours. Children get it below 45 °C, in the middle of the table, in something that does not tip.',
  },
  flame: {
    name: 'Flame or stove',
    what: 'An adult lights and puts out. Hair and sleeves tied back, water and a fire blanket at hand.',
  },
  mains: {
    name: 'Mains electricity',
    what: 'An adult plugs in and out, away from water, the lead where nobody trips. Children neither touch nor move it.',
  },
  'very-cold': {
    name: 'Very cold',
    what: 'An adult handles it, with gloves and goggles, in a room with open windows. Children look from a distance.',
  },
  blade: {
    name: 'Cutting',
    what: 'Cut beforehand where you can; guillotines and sharp knives are for adults. Scissors: sitting down, one pair a group, handed over handles first.',
  },
  glass: { name: 'Glass', what: 'Take plastic where you can. An adult sweeps up what breaks; nobody picks it up by hand.' },
  latex: {
    name: 'Latex',
    what: 'Check the class list for latex allergy before the lesson, and take latex-free ones if there is any doubt.',
  },
  'food-allergy': {
    name: 'Food allergy',
    what: 'Check the class list for allergies before the lesson and take another material where needed. Nothing is eaten or tasted.',
  },
  'small-parts': {
    name: 'Small parts',
    what: 'Count them out and count them back. Never near the mouth; tell an adult at once if one is missing.',
  },
  magnets: {
    name: 'Magnets',
    what: 'Count them out and back. One that is swallowed is an emergency. Away from screens, cards and medical devices.',
  },
  batteries: {
    name: 'Batteries',
    what: 'No button cells in children’s hands. Never short-circuited or opened; one that is swallowed is an emergency.',
  },
  mould: { name: 'Mould', what: 'Keep it sealed, never open it, and put it in the bin unopened.' },
  'burning-liquid': { name: 'Liquid that burns', what: 'An adult only, with windows open and no flame in the room.' },
  irritant: {
    name: 'Stings or burns the skin',
    what: 'An adult measures it out. Gloves and goggles, wash hands afterwards; rinse with plenty of water whatever it touches.',
  },
  eyes: { name: 'Eyes', what: 'Goggles on, faces not over it, hands off eyes until they are washed.' },
  snapping: { name: 'Things that fly or snap', what: 'Goggles on, never aimed at anybody, stretched no further than agreed.' },
  climbing: { name: 'Height', what: 'An adult climbs and drops. Children stay outside a marked circle.' },
  spill: { name: 'Slips', what: 'Trays under everything, cloths ready, wipe the floor at once.' },
  soil: { name: 'Plants and soil', what: 'Cover cuts, wash hands afterwards, nothing near the mouth. Mind hay fever.' },
  sun: { name: 'Sun', what: 'Hats and shade. Never look at the sun, not through anything.' },
}

/** The same to children, at the trial that meets it: never an adult's step. */
const CHILD_LINES: Record<Caution, string> = {
  hot: 'Hot: an adult pours. Wait, and do not touch.',
  flame: 'Flame: only the adult goes near.',
  mains: 'Plugs and leads: only the adult touches them.',
  'very-cold': 'Very cold: only the adult touches it.',
  blade: 'Sharp: sit down to cut, points away from everybody.',
  glass: 'Glass: hold it with both hands. If it breaks, call an adult.',
  latex: 'Latex: if it makes you itch, tell an adult now.',
  'food-allergy': 'Not for eating. If you must not touch it, tell an adult now.',
  'small-parts': 'Small parts: never near mouth, nose or ears. Count them back.',
  magnets: 'Magnets: never near the mouth. Count them back.',
  batteries: 'Batteries: never opened, never near the mouth.',
  mould: 'It stays shut: never open it.',
  'burning-liquid': 'It can burn: only the adult touches it.',
  irritant: 'It stings: gloves on, hands off your face.',
  eyes: 'Goggles on, hands off your eyes.',
  snapping: 'It can snap: goggles on, never aim at anybody.',
  climbing: 'High up: only the adult climbs. Stay outside the circle.',
  spill: 'Wipe up what spills at once.',
  soil: 'Wash your hands afterwards.',
  sun: 'Never look at the sun.',
}

const SOURCE_OF: Record<CautionSource, string> = {
  conditions: 'the conditions',
  'kept-the-same': 'what is kept the same',
  method: 'how it is done',
}

const DOER_WORDS: Record<Doer, string> = {
  'adult-only': 'adult only',
  'adult-beside': 'a child with an adult beside',
  child: 'children can',
}

/** The same at the head of a short list of cautions. */
const DOER_HEADS: Record<Doer, string> = {
  'adult-only': 'Adults only',
  'adult-beside': 'With an adult beside',
  child: 'Everybody',
}

/** Closes every list of cautions, on screen and on paper. */
export const SAFETY_LAST_WORD =
  "Your own school's rules, your local regulations and your science safety adviser come first. This is a reminder, not a risk assessment."

export function cautionWords(caution: Caution): { name: string; what: string } {
  return CAUTION_WORDS[caution]
}

export function doerWords(doer: Doer): string {
  return DOER_WORDS[doer]
}

/** What a caution comes from. `cautionSourceWords(['the kettle'], ['conditions']) // 'the kettle and the conditions'` */
export function cautionSourceWords(materials: string[], from: CautionSource[]): string {
  return list([...materials, ...from.map((one) => SOURCE_OF[one])])
}

/**
 * All cautions of a plan that hold, as a tray label or a group card has room for them: a line for each of those who may do it.
 * @param withOwn also those that the teacher wrote, which may be long
 * @example careLines(plan)[0] // => { doer: 'adult-only', who: 'Adults only', what: 'Cutting' }
 */
export function careLines(plan: Plan, withOwn = true): { doer: Doer; who: string; what: string }[] {
  const all = [
    ...cautionsOf(plan)
      .filter(({ notHere }) => notHere === undefined)
      .map(({ caution, doer }) => ({ doer, words: CAUTION_WORDS[caution].name })),
    ...(withOwn ? plan.ownCautions.map(({ doer, text }) => ({ doer, words: text })) : []),
  ]
  return (Object.keys(DOER_WORDS) as Doer[]).flatMap((doer) => {
    const own = all.filter((one) => one.doer === doer).map(({ words }) => words)
    return own.length > 0 ? [{ doer, who: DOER_HEADS[doer], what: own.join('; ') }] : []
  })
}

/**
 * What children are told where these conditions lie before them, in the order of the list; the teacher's own last.
 * @example mindLines(soakUpPlan(), ['tissue']) // => ['Wipe up what spills at once.']
 */
export function mindLines(plan: Plan, conditions: string[]): string[] {
  const own = plan.ownCautions.filter(({ doer }) => doer !== 'adult-only').map(({ text }) => text)
  const met = new Set(conditions.flatMap((condition) => cautionsAtTrial(plan, condition)))
  return [...CAUTIONS.filter((caution) => met.has(caution)).map((caution) => CHILD_LINES[caution]), ...own]
}
