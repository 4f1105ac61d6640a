import type { WayWords } from './wayWords'
import { words } from './words'

export const sorts: WayWords = {
  ...words,
  name: 'words without an order',
  list: 'Words, in any order',
  words: 'Words to choose from',
  guess: (_who, each, capital) => `${capital ? 'Which' : 'which'} word will come most often${each ? ' for each' : ''}?`,
}
