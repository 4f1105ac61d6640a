import { sentenceCase } from '../sentenceCase'
import { USUAL_TRAYS, USUAL_WORDS, type KindWords } from './kindWords'

export const beforeAfter: KindWords = {
  ...USUAL_WORDS,
  name: 'Before and after',
  what: 'the same thing measured twice, with something happening in between',
  example: 'does a bag of ice weigh less when it has melted?',
  take: 'This is what happens',
  trays: {
    ...USUAL_TRAYS,
    change: { ...USUAL_TRAYS.change, name: 'What happens', hint: 'in between' },
    measure: { ...USUAL_TRAYS.measure, example: 'how heavy it is' },
  },
  conditions: { name: 'Things we try it with', what: 'one is enough', example: 'a bag of ice' },
  openChange: 'something that happens',
  madeIt: (change) => sentenceCase(change ?? 'what happened'),
  run: () => 'Wait (all together, in between)',
}
