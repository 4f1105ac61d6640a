import type { FindingCode } from './finding'

/** Where a lesson stands: it is prepared, it is tested, or it has been tested and a sentence is looked for. */
export type Hour = 'before' | 'during' | 'after'

/** What is known of a finding by its code alone. */
interface Traits {
  /** When it matters. */
  hours: readonly Hour[]
  /** It can be said of one of several measures alone. */
  ofAMeasure: boolean
  /** A lesson that has only begun cannot have it yet: its first steps say so, and nobody calls it a fault. */
  notYet: boolean
}

const at = (...hours: Hour[]): Traits => ({ hours, ofAMeasure: false, notYet: false })
const PLANNING = at('before')
/** An adult beside the heat is as needed while it is hot as when it is planned. */
const SAFETY = at('before', 'during')
const NUMBERS = at('during', 'after')
const CONCLUDING = at('after')
const ofAMeasure = (traits: Traits): Traits => ({ ...traits, ofAMeasure: true })
const notYet = (traits: Traits): Traits => ({ ...traits, notYet: true })

/** Every finding has its row here: the compiler asks for that of a new one. */
export const TRAITS: Record<FindingCode, Traits> = {
  'no-title': notYet(PLANNING),
  'nothing-wondered': notYet(PLANNING),
  'sounds-like-a-guess': PLANNING,
  'nothing-to-change': notYet(PLANNING),
  'nothing-to-measure': notYet(PLANNING),
  'instrument-misfit': ofAMeasure(PLANNING),
  'unit-not-said': notYet(ofAMeasure(PLANNING)),
  'best-not-said': notYet(ofAMeasure(PLANNING)),
  'too-few-conditions': notYet(PLANNING),
  'label-empty': PLANNING,
  'same-label': PLANNING,
  'number-unreadable': PLANNING,
  'too-few-levels': PLANNING,
  'uneven-levels': PLANNING,
  'narrow-levels': PLANNING,
  'too-few-words': notYet(ofAMeasure(PLANNING)),
  'no-times': notYet(PLANNING),
  muddled: PLANNING,
  'factor-differs': PLANNING,
  'factor-unknown': PLANNING,
  'how-not-said': notYet(PLANNING),
  'one-reading-each': notYet(PLANNING),
  'too-few-repeats': ofAMeasure(PLANNING),
  hopeless: ofAMeasure(PLANNING),
  'one-group-same-thing': PLANNING,
  blocks: PLANNING,
  'no-groups': notYet(PLANNING),
  'kit-empty': notYet(PLANNING),
  'whose-amount': PLANNING,
  'amount-unreadable': PLANNING,
  'supply-unreadable': PLANNING,
  'thing-gone': PLANNING,
  short: PLANNING,
  caution: SAFETY,
  'own-caution': SAFETY,
  'step-moved': PLANNING,
  'spares-few': PLANNING,
  'trial-time-missing': notYet(PLANNING),
  'over-run': PLANNING,
  'may-over-run': PLANNING,
  'things-wait': PLANNING,
  'no-date': notYet(PLANNING),
  'no-school-that-day': PLANNING,
  'readings-lost': PLANNING,
  'predictions-missing': PLANNING,
  doubtful: ofAMeasure(NUMBERS),
  'two-in-one-place': NUMBERS,
  'empties-missing': ofAMeasure(NUMBERS),
  'wrong-kind-of-unit': ofAMeasure(NUMBERS),
  homeless: NUMBERS,
  strays: NUMBERS,
  gaps: NUMBERS,
  drift: ofAMeasure(CONCLUDING),
  'not-sure': ofAMeasure(CONCLUDING),
  'conclusion-missing': CONCLUDING,
  'conclusion-doubt': CONCLUDING,
}
