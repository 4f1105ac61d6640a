import { readQuantity, unitNamed, type ReadErrorCode, type UnitCode } from '../quantity'

export type Amount =
  { ok: true; value: number; unit: UnitCode; whole: boolean } | { ok: false; code: ReadErrorCode; position: number }

// "a pinch", "an egg cup of it"
const ONE_OF_IT = /^\s*an?\s+[a-z]/i
const TRAILING_WORDS = /[\s\u00a0\u2009\u202f]*([A-Za-z°℃℉"″”'′’][A-Za-z\s-]*)?$/

/**
 * Reads the amount of one material as people write it. What has no unit, or a word that is none ("2 strips"), is counted in
 * pieces and comes whole.
 * @example readAmount('2 tbsp') // { ok: true, value: 2, unit: 'tbsp', whole: false }
 */
export function readAmount(text: string): Amount {
  if (ONE_OF_IT.test(text)) return { ok: true, value: 1, unit: 'pieces', whole: true }
  const word = (TRAILING_WORDS.exec(text)?.[1] ?? '').trim()
  const unit = word === '' ? 'pieces' : unitNamed(word.replace(/\s+/g, ' '))
  const countable = unit === undefined || unit === 'pieces' || unit === 'count'
  const digits = countable ? text.replace(TRAILING_WORDS, '') : text
  const read = readQuantity(digits, { unit: countable ? 'pieces' : unit })
  if (!read.ok) return read
  if (read.value < 0) return { ok: false, code: 'not-a-number', position: 0 }
  return { ok: true, value: read.value, unit: read.unit, whole: countable }
}
