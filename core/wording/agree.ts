import type { ConclusionPart } from '../agree'

/** What a whole conclusion has in it, as children are asked for it. */
export const PART_WORDS: Record<ConclusionPart, string> = {
  answer: 'answers our question',
  numbers: 'quotes the numbers',
  'how-sure': 'says how sure we are',
  prediction: 'looks back at what we predicted',
  better: 'says what could have gone better',
  next: 'says what comes next',
}
