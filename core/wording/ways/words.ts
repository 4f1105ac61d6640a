import type { ResolvedMethod } from '../../test'
import type { WayWords } from './wayWords'

export const words: WayWords = {
  name: 'ordered words',
  method: (method: ResolvedMethod) => method.words.filter((word) => word.trim() !== '').join(' / ') || 'which words?',
  measured: (method) => `in words: ${words.method(method)}`,
  oneGo: 'One look',
  guess: (_who, _each, capital) => `${capital ? 'Which' : 'which'} word for each?`,
  list: 'Ordered words, the least first',
  words: 'Words, the least first',
  until: 'the time until a word',
}
