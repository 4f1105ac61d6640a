import type { Age, Kind } from './plan'

/** What an investigation is about. */
export const TOPICS = [
  'materials',
  'movement',
  'light-and-sound',
  'electricity',
  'living-things',
  'ourselves',
  'hot-and-cold',
  'earth',
] as const
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
  age: Age | ''
  /** Something that children practise with it, by name. */
  practises: string
  /** Only what the cupboard has everything for. */
  there: boolean
}

interface Card {
  topic: Topic
  kind: Kind
  minutes: number
  ages: Age[]
  practises: string[]
  needs: { stocked: 'there' | 'too-few' | 'not-listed' }[]
}

/**
 * Those of the cards that are what is looked for.
 * @example fittingCards([{ topic: 'movement', kind: 'improve', minutes: 60, ages: ['7-9'], practises: [], needs: [] }], { topic: 'movement', kind: '', minutes: 45, age: '', practises: '', there: false })
 *   // => []
 */
export function fittingCards<One extends Card>(cards: One[], wanted: LookedFor): One[] {
  return cards.filter(
    ({ topic, kind, minutes, ages, practises, needs }) =>
      (wanted.topic === '' || topic === wanted.topic) &&
      (wanted.kind === '' || kind === wanted.kind) &&
      (wanted.minutes === 0 || minutes <= wanted.minutes) &&
      (wanted.age === '' || ages.includes(wanted.age)) &&
      (wanted.practises === '' || practises.includes(wanted.practises)) &&
      (!wanted.there || needs.every(({ stocked }) => stocked === 'there')),
  )
}

/**
 * What some of the cards practise and others do not, in the order in which it first comes: nobody looks for what all of them have.
 * @example practisedBySome([{ practises: ['Timing', 'Asking'] }, { practises: ['Asking'] }]) // => ['Timing']
 */
export function practisedBySome(cards: Pick<Card, 'practises'>[]): string[] {
  const all = [...new Set(cards.flatMap(({ practises }) => practises))]
  return all.filter((one) => !cards.every(({ practises }) => practises.includes(one)))
}
