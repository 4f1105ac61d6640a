import { DRAFT_PARTS, type Draft, type DraftChoices, type DraftPart } from './parts'

export interface PartsShown {
  /** With the words that it was taken from; without them where somebody said it on the draft. */
  taken: { part: DraftPart; quote: string | undefined }[]
  assumed: DraftPart[]
}

/**
 * In which list each part of a draft stands: a part that is asked for in none, and one that is changed stays where it first stood.
 * @param first the draft of the line before anybody said otherwise
 * @example [draftOf('Does hot or cold water melt an ice cube faster?', {}, emptyPlan('Puffin', 26, newId), newId)!].map(
 *   (draft) => partsShown(draft, draft, {}).assumed.includes('clock')) // => [true]
 */
export function partsShown(first: Draft, now: Draft, choices: DraftChoices): PartsShown {
  const shown = DRAFT_PARTS.filter((part) => !now.asked.some((question) => question.part === part))
  const quoteOf = (part: DraftPart) => [...now.taken, ...first.taken].find((one) => one.part === part)?.quote
  const isChosen = (part: DraftPart) => part in choices
  const taken = shown.filter((part) => quoteOf(part) !== undefined || (isChosen(part) && !first.assumed.includes(part)))
  return {
    taken: taken.map((part) => ({ part, quote: isChosen(part) ? undefined : quoteOf(part) })),
    assumed: shown.filter((part) => !taken.includes(part) && (isChosen(part) || now.assumed.includes(part))),
  }
}
