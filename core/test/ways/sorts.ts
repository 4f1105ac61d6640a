import { modeSorted } from 'simple-statistics'
import { readWord, words } from './words'
import type { WayOfReading } from './way'

/** What a plan begins with where nobody has said anything else. */
const FIRST_SORTS = ['left', 'right', 'straight on']

/** A word out of a list without an order: no average, no rank, no word that another turns into. */
export const sorts: WayOfReading = {
  ...words,
  code: 'sorts',
  ranks: false,
  turnsInto: false,
  unit: 'sorts',
  begun: { words: FIRST_SORTS },
  read: (method, text) => readWord(method.words, text.trim(), 'sorts'),
  // What came most often; of several the first in the list.
  middle: (values) => modeSorted([...values].sort((a, b) => a - b)),
  graph: () => ({ best: 'words', reason: 'sorts' }),
}
