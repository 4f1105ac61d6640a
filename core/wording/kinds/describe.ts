import { sentenceCase } from '../sentenceCase'
import { bare, USUAL_TRAYS, USUAL_WORDS, type KindWords } from './kindWords'

export const describe: KindWords = {
  ...USUAL_WORDS,
  name: 'Describe',
  what: 'what it is like, in ordered words, counts, or yes and no',
  example: 'which places in the room feel damp?',
  take: 'Compare this',
  trays: {
    ...USUAL_TRAYS,
    change: { ...USUAL_TRAYS.change, name: 'Compare', hint: 'one thing' },
    measure: { ...USUAL_TRAYS.measure, name: 'Describe', hint: 'words or counts', example: 'how damp it feels' },
  },
  conditions: { name: 'What we compare', what: 'one or more', example: 'under the sink' },
  openChange: 'thing',
  question: ({ change, measure, second }) => [
    { text: 'What do we find for each ' },
    bare(change),
    { text: ': ' },
    ...measure,
    ...second,
    { text: '?' },
  ],
  madeIt: (change) => sentenceCase(change ?? 'what we compared'),
}
