import type { Caution, Doer } from '../kit'

const CAUTION_WORDS: Record<Caution, { name: string; what: string }> = {
  'hot-water': {
    name: 'Hot water',
    what: 'An adult heats and pours. Keep it below 45 °C where children reach it, in the middle of the table.',
  },
  flame: {
    name: 'Flame or stove',
    what: 'An adult lights and puts out. Hair and sleeves tied back, water and a fire blanket at hand.',
  },
  blade: {
    name: 'Cutting',
    what: 'Cut beforehand where you can. Otherwise sitting down, one pair of scissors a group, handed over handles first.',
  },
  glass: { name: 'Glass', what: 'Take plastic where you can. An adult sweeps up what breaks; nobody picks it up by hand.' },
  allergy: {
    name: 'Allergy',
    what: 'Check the class list for allergies before the lesson and take another material where needed. Nothing is eaten.',
  },
  swallowing: {
    name: 'Small things',
    what: 'Count them out and count them back. Never near the mouth; tell an adult at once if one is missing.',
  },
  mould: { name: 'Mould', what: 'Keep it sealed, never open it, and put it in the bin unopened.' },
  'burning-liquid': { name: 'Liquid that burns', what: 'An adult only, with windows open and no flame in the room.' },
  snapping: { name: 'Things that snap', what: 'Goggles on, never aimed at anybody, stretched no further than agreed.' },
  climbing: { name: 'Height', what: 'An adult climbs and drops. Children stay outside a marked circle.' },
  spill: { name: 'Spilled water', what: 'Trays under everything, cloths ready, wipe the floor at once.' },
  soil: { name: 'Plants and soil', what: 'Cover cuts, wash hands afterwards, nothing goes near the mouth.' },
  sun: { name: 'Sun', what: 'Hats and shade. Never look at the sun, not through anything.' },
}

const DOER_WORDS: Record<Doer, string> = {
  'adult-only': 'adult only',
  'adult-beside': 'a child with an adult beside',
  child: 'children can',
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
