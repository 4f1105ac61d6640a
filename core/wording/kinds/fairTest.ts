import { USUAL_WORDS, type KindWords } from './kindWords'

export const fairTest: KindWords = {
  ...USUAL_WORDS,
  name: 'Fair test',
  what: 'one thing changes, everything else stays the same',
  example: 'which paper drinks water highest?',
  conditions: { name: 'Conditions', what: '', example: 'kitchen roll' },
}
