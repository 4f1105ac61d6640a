import { sentenceCase } from '../sentenceCase'
import { isClause, USUAL_TRAYS, USUAL_WORDS, type KindWords } from './kindWords'

export const overTime: KindWords = {
  ...USUAL_WORDS,
  name: 'Watch over time',
  what: 'the same thing read again and again, at one place or several',
  example: 'how does cress grow in five places?',
  trays: {
    ...USUAL_TRAYS,
    change: { ...USUAL_TRAYS.change, hint: 'or only time' },
    measure: { ...USUAL_TRAYS.measure, hint: 'each time', example: 'how tall it is' },
  },
  conditions: { name: 'Jars or places', what: 'one is enough', example: 'on the windowsill' },
  question: ({ change, measure, changes }) => {
    const [first] = measure
    if (!first || !isClause(first))
      return changes
        ? [{ text: 'How does ' }, ...measure, { text: ' change over time, and does ' }, change, { text: ' matter?' }]
        : [{ text: 'How does ' }, ...measure, { text: ' change over time?' }]
    return changes
      ? [{ text: 'Does ' }, change, { text: ' change ' }, ...measure, { text: ' over time?' }]
      : [{ ...first, text: sentenceCase(first.text) }, ...measure.slice(1), { text: ': does it change over time?' }]
  },
}
