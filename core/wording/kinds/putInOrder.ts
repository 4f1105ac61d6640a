import { testOf } from '../../test'
import { WAY_WORDS } from '../ways'
import { bare, USUAL_TRAYS, USUAL_WORDS, type KindWords } from './kindWords'

export const putInOrder: KindWords = {
  ...USUAL_WORDS,
  name: 'Put in order',
  what: 'who comes first, side by side or on a balance',
  example: 'which is heaviest?',
  trays: {
    ...USUAL_TRAYS,
    measure: { ...USUAL_TRAYS.measure, name: 'Put in order by', hint: 'first to last', example: 'how heavy it is' },
  },
  conditions: { name: 'What we put in order', what: 'two or more', example: 'a stone' },
  openChange: 'thing',
  question: ({ change, measure }) => [
    { text: 'Which ' },
    bare(change),
    ...(measure.some(({ text }) => /\bfirst\b/i.test(text))
      ? [{ text: ' comes first?' }]
      : [{ text: ' comes first, going by ' }, ...measure, { text: '?' }]),
  ],
  run: (plan) => {
    const { way } = testOf(plan)
    return WAY_WORDS[way.isPlace ? way.code : 'race'].oneGo
  },
}
