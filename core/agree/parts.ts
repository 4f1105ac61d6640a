import { changedFactor, isNamed, type Plan } from '../lesson'
import { testOf } from '../test'
import { EFFECT, HEDGED, HOW_SURE, NO_DIFFERENCE } from './conclusion/lexicon'
import { sentencesOf } from './conclusion/mentions'
import { quotesNumbers } from './conclusion/statements'

/** What a whole conclusion has in it. */
export const CONCLUSION_PARTS = ['answer', 'numbers', 'how-sure', 'prediction', 'better', 'next'] as const
export type ConclusionPart = (typeof CONCLUSION_PARTS)[number]

const PREDICTED = /\b(predict\w*|guess\w*|thought|expected|forecast\w*|surpris\w*|we were (?:all |mostly |not )*(?:right|wrong))\b/i
const BETTER =
  /\b(next time we|could have|should have|better|improve\w*|went wrong|fairer|more careful\w*|harder? to|mistake\w*)\b/i
const NEXT = /\b(next|would like to (?:test|try|find)|want to (?:test|try|know|find)|wonder\w*)\b/i

/**
 * Which parts of a conclusion a text has already; for a list to tick, not for a mark.
 * @example partsOf('Kitchen roll was highest with 61 mm.', soakUpPlan()) // => ['answer', 'numbers']
 */
export function partsOf(text: string, plan: Plan): ConclusionPart[] {
  const cards = [changedFactor(plan)?.name ?? '', testOf(plan).measure?.name ?? '']
  const mentions = sentencesOf(text, plan).flatMap((sentence) => sentence.mentions)
  const namesCondition = mentions.some(({ kind }) => kind === 'condition')
  // "It makes no difference", "it matters a lot", "the more layers, the fewer": the question is answered in other words.
  const told =
    EFFECT.test(text) || text.search(NO_DIFFERENCE) >= 0 || mentions.filter(({ kind }) => kind === 'comparing').length > 1
  const has: Record<ConclusionPart, boolean> = {
    answer: namesCondition || told || cards.some((name) => isNamed(name, text)),
    numbers: quotesNumbers(text, plan),
    'how-sure': HOW_SURE.test(text) || HEDGED.test(text),
    prediction: PREDICTED.test(text),
    better: BETTER.test(text),
    next: NEXT.test(text),
  }
  return CONCLUSION_PARTS.filter((part) => has[part])
}

/**
 * Which of these words a text uses, whatever their ending. `wordsUsed('All our readings agree.', ['reading', 'range']) // ['reading']`
 */
export function wordsUsed(text: string, words: string[]): string[] {
  return words.filter((word) => {
    const stem = word
      .trim()
      .toLowerCase()
      .replace(/[^a-z0-9 -]/g, '')
    return stem !== '' && new RegExp(`\\b${stem}(?:s|ed|ing|ly)?\\b`, 'i').test(text)
  })
}
