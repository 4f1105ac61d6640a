import { USUAL, type KindOfTest } from './kind'

/** One thing changes, everything else stays the same. With numbers it is the same test, whose conditions are numbers. */
export const fairTest: KindOfTest = {
  ...USUAL,
  code: 'fair-test',
  changesOne: true,
  ways: ['number', 'words', 'sorts'],
  predictions: ['order', 'most-least', 'number', 'line', 'change'],
  oneAfterTheOther: true,
}
