import type { Age } from './plan'

/** What an investigation is about. */
export const TOPICS = ['materials', 'movement', 'living-things', 'hot-and-cold'] as const
export type Topic = (typeof TOPICS)[number]

/** What a card of the library says of an investigation beside its plan. */
export interface OnTheCard {
  summary: string
  topic: Topic
  ages: Age[]
}
