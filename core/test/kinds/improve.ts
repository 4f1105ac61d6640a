import { USUAL, type KindOfTest } from './kind'

/** Three tries at a better one, with what was changed each time. */
export const improve: KindOfTest = {
  ...USUAL,
  code: 'improve',
  compares: false,
  ways: ['number', 'words'],
  predictions: ['number', 'most-least'],
  arrangements: ['every-group'],
  mayHaveSeries: false,
  improves: true,
  order: () => 'blocks',
  graph: () => ({ best: 'tries', reason: 'tries' }),
}
