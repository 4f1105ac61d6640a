import type { Age, Kind } from './plan'

/** What an investigation is about. */
export const TOPICS = ['materials', 'movement', 'light-and-sound', 'living-things', 'hot-and-cold'] as const
export type Topic = (typeof TOPICS)[number]

/** What a card of the library says of an investigation beside its plan. */
export interface OnTheCard {
  summary: string
  topic: Topic
  ages: Age[]
}

/** What a teacher looks for; empty and 0 where nothing is said. */
export interface LookedFor {
  topic: Topic | ''
  kind: Kind | ''
  /** At most so long. */
  minutes: number
}

/**
 * Those of the cards that are what is looked for.
 * @example fittingCards([{ topic: 'movement', kind: 'improve', minutes: 60 }], { topic: 'movement', kind: '', minutes: 45 }) // => []
 */
export function fittingCards<Card extends { topic: Topic; kind: Kind; minutes: number }>(cards: Card[], wanted: LookedFor): Card[] {
  return cards.filter(
    ({ topic, kind, minutes }) =>
      (wanted.topic === '' || topic === wanted.topic) &&
      (wanted.kind === '' || kind === wanted.kind) &&
      (wanted.minutes === 0 || minutes <= wanted.minutes),
  )
}
