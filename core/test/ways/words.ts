import { mean } from 'simple-statistics'
import type { EntryResult, WayOfReading } from './way'

/** What a plan begins with where nobody has said anything else. */
export const FIRST_WORDS = ['dry', 'damp', 'wet']

/** A word out of an ordered list, the least first. */
export const words: WayOfReading = {
  code: 'words',
  isAmount: false,
  fromWords: true,
  isPlace: false,
  ranks: true,
  turnsInto: true,
  weighsTwo: false,
  sideBySide: false,
  unit: 'words',
  expectedUnit: undefined,
  begun: { words: FIRST_WORDS },
  parts: ['words', 'wordPictures'],
  read: (method, text) => readWord(method.words, text.trim(), 'words'),
  devices: () => ['words'],
  screen: 'trial',
  middle: mean,
  graph: (overTimes) => (overTimes ? { best: 'stages', reason: 'words-over-time' } : { best: 'words', reason: 'words' }),
}

/** A word of a list, or its number in it. */
export function readWord(list: string[], text: string, unit: 'words' | 'sorts'): EntryResult {
  const wanted = text.toLowerCase()
  const place = list.findIndex((word, index) => word.trim().toLowerCase() === wanted || String(index + 1) === wanted)
  return place >= 0 && text !== ''
    ? { ok: true, value: place + 1, unit }
    : { ok: false, code: text === '' ? 'empty' : 'not-one-of-the-words', position: 0 }
}
