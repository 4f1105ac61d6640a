import { changedFactor, isEachChild, seriesFactor, type Kind, type Plan, type PredictAs, type WhoseQuestion } from '../lesson'
import { kindOf, measuredCards, seriesIn } from '../test'
import { KIND_WORDS, type Segment } from './kinds'
import type { KindWords } from './kinds/kindWords'

/** What puts a card into the first tray. `takeWords('improve') // 'Make this better'` */
export function takeWords(kind: Kind): string {
  return KIND_WORDS[kind].take
}

/** What the three trays are called on the teacher's side, and what is asked for in each. */
export function trayWords(kind: Kind): KindWords['trays'] {
  return KIND_WORDS[kind].trays
}

/** What a condition is called in this kind of test. `conditionsWords('improve').name // 'Tries'` */
export function conditionsWords(kind: Kind): KindWords['conditions'] {
  return KIND_WORDS[kind].conditions
}

/** The question in its parts, so that a page can underline the cards. */
export function questionSegments(plan: Plan): Segment[] {
  const changed = changedFactor(plan)?.name.trim()
  const words = KIND_WORDS[plan.kind]
  const change: Segment = changed ? { text: bound(changed), card: 'change' } : { text: words.openChange, card: 'open' }
  const measure = measureSegments(plan)
  if (isEachChild(plan) && !changed && !kindOf(plan).watches)
    return [{ text: 'What does each of us find: ' }, ...measure, { text: '?' }]
  return words.question({ change, measure, second: secondly(plan), changes: Boolean(changed) })
}

/** The second thing that differs on purpose, where there is one. */
function secondly(plan: Plan): Segment[] {
  const second = seriesFactor(plan)?.name.trim()
  return second && seriesIn(plan).length > 0
    ? [{ text: ', and does ' }, { text: bound(second), card: 'change' }, { text: ' matter' }]
    : []
}

/** Everything that is measured, in a row. */
function measureSegments(plan: Plan): Segment[] {
  const named = measuredCards(plan).flatMap(({ name }): Segment[] =>
    name.trim() === '' ? [] : [{ text: bound(name.trim()), card: 'measure' }],
  )
  if (named.length === 0) return [{ text: 'something we measure', card: 'open' }]
  return named.flatMap((segment, place) => [
    ...(place === 0 ? [] : [{ text: place === named.length - 1 ? ' and ' : ', ' }]),
    segment,
  ])
}

/** The testable question, put together from the plan's cards. `question(plan) // 'How does the kind of paper change how high water climbs in 60 s?'` */
export function question(plan: Plan): string {
  return questionSegments(plan)
    .map(({ text }) => text)
    .join('')
}

/** Text in which a number and its unit never part at the end of a line. `bound('in 60 s') // 'in 60\u00a0s'` */
function bound(text: string): string {
  return text.replace(/(\d) (?=(?:[mck]?m|k?g|m?l|s|min|h|°[CF]|N|dB|in|ft)\b)/gi, '$1\u00a0')
}

export const PREDICT_WORDS: Record<PredictAs, string> = {
  order: 'the whole order',
  'most-least': 'most and least only',
  number: 'a number for each',
  line: 'a sketched line',
  change: 'more, less or the same',
}

export const WHOSE_WORDS: Record<WhoseQuestion, { name: string; what: string }> = {
  teacher: { name: 'The teacher gives it', what: 'you choose the cards for the question' },
  class: { name: 'The class picks one', what: 'one of the wonderings becomes the question' },
  groups: { name: 'Each group its own', what: 'every group picks a wondering; each can become a lesson of its own' },
}
