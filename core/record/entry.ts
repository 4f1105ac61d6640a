import { measuredCard, type Plan } from '../lesson'
import { readQuantity, withoutNoise, type ReadErrorCode, type UnitCode } from '../quantity'

export type EntryErrorCode = ReadErrorCode | 'not-one-of-the-words' | 'not-a-place'
export type EntryResult = { ok: true; value: number; unit: UnitCode } | { ok: false; code: EntryErrorCode; position: number }

/**
 * What was typed for one reading, in the plan's unit: a number with or without its unit, one of the ordered words, or a place in
 * an order. From a start to a finish, or from empty to full, it is the difference that counts.
 * @example readEntry(soakUp, '12 to 68') // { ok: true, value: 56, unit: 'mm' }
 * @example readEntry(describing, 'Damp') // { ok: true, value: 2, unit: 'words' } where the words are dry, damp, wet
 */
export function readEntry(plan: Plan, text: string): EntryResult {
  const method = measuredCard(plan)?.method
  if (method?.instrument === 'words') return readWord(method.words, text.trim())
  if (method?.instrument === 'race' || method?.instrument === 'balance') return readPlace(plan, text.trim())
  const unit = method?.unit ?? 'count'
  const [, start, finish] = /^\s*(.+?)\s+to\s+(.+?)\s*$/i.exec(text) ?? []
  return start && finish ? readDifference(start, finish, unit) : readQuantity(text, { unit })
}

function readDifference(start: string, finish: string, unit: UnitCode): EntryResult {
  const [from, to] = [readQuantity(start, { unit }), readQuantity(finish, { unit })]
  if (!from.ok) return from
  return to.ok ? { ok: true, value: withoutNoise(to.value - from.value), unit } : to
}

function readWord(words: string[], text: string): EntryResult {
  const wanted = text.toLowerCase()
  const place = words.findIndex((word, index) => word.trim().toLowerCase() === wanted || String(index + 1) === wanted)
  return place >= 0 && text !== ''
    ? { ok: true, value: place + 1, unit: 'words' }
    : { ok: false, code: text === '' ? 'empty' : 'not-one-of-the-words', position: 0 }
}

/** Ties share a place, halves are the usual way to write them: two seconds are both 2.5. */
function readPlace(plan: Plan, text: string): EntryResult {
  const digits = /^(\d{1,2}(?:[.,]5)?)(?:st|nd|rd|th)?$/i.exec(text)?.[1]
  const value = Number(digits?.replace(',', '.'))
  const fits = value >= 1 && value <= plan.conditions.length
  return fits ? { ok: true, value, unit: 'place' } : { ok: false, code: text === '' ? 'empty' : 'not-a-place', position: 0 }
}
