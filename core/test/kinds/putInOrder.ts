import { USUAL, type KindOfTest } from './kind'

/** Who comes first, side by side or on a balance. */
export const putInOrder: KindOfTest = {
  ...USUAL,
  code: 'order',
  ways: ['race', 'balance'],
  predictions: ['order', 'most-least'],
  arrangements: ['every-group', 'together'],
  measuresSeveral: false,
  mayHaveSeries: false,
  allAtOnce: true,
  order: () => 'as-written',
}
