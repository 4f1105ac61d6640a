import { USUAL, type KindOfTest } from './kind'

/** What it is like, in ordered words, in counts, or in yes and no. */
export const describe: KindOfTest = {
  ...USUAL,
  code: 'describe',
  fewestConditions: 1,
  ways: ['words', 'number', 'sorts'],
  predictions: ['number', 'order', 'most-least'],
  oneAfterTheOther: true,
  needsRepeats: false,
}
