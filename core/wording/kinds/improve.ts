import { USUAL_TRAYS, USUAL_WORDS, type KindWords } from './kindWords'

export const improve: KindWords = {
  ...USUAL_WORDS,
  name: 'Build and improve',
  what: 'three tries at a better one, with what was changed each time',
  example: 'how much can a paper bridge hold?',
  take: 'Make this better',
  trays: {
    change: { ...USUAL_TRAYS.change, name: 'Make better', hint: 'the design' },
    measure: { ...USUAL_TRAYS.measure, name: 'Going by', hint: 'how good it is', example: 'how much it holds' },
    keep: { name: 'The rules', hint: 'for every try', empty: 'What every try has to keep to comes here.' },
  },
  conditions: { name: 'Tries', what: 'say what each changes: “second try, folded once”', example: 'first try' },
  openChange: 'something we build',
  question: ({ change, measure }) => [
    { text: 'How can we make ' },
    change,
    { text: ' better, going by ' },
    ...measure,
    { text: '?' },
  ],
  madeIt: () => 'What was changed from try to try',
  run: () => 'Build and try it',
}
