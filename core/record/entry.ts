import { measuredCard, type Plan } from '../lesson'
import { readQuantity, withoutNoise, type KitchenRegion, type ReadErrorCode, type ReadOptions, type UnitCode } from '../quantity'

export type EntryErrorCode = ReadErrorCode | 'not-one-of-the-words' | 'not-a-place' | 'start-or-range'
export type EntryResult = { ok: true; value: number; unit: UnitCode } | { ok: false; code: EntryErrorCode; position: number }

export interface EntryOptions {
  /** Two numbers with "to" between them are a start and a finish: a device that takes both, or a class that writes them so. */
  startAndFinish?: boolean
  /** Whose cups and spoons a number is typed in. */
  kitchen?: KitchenRegion
}

const RANGE = /^\s*(.+?)\s+to\s+(.+?)\s*$/i
const LESS = /^\s*(\S.*?)\s+[-−–]\s+(\S.*?)\s*$/
const DASHED = /^\s*(\d+(?:[.,]\d+)?)[-−–](\d+(?:[.,]\d+)?)\s*$/

/**
 * What was typed for one reading, in the plan's unit: a number with or without its unit, a sum of parts, one less another, one of the ordered words, or a
 * place in an order. From a start to a finish it is the difference that counts, from a start to what is left what was used; where nobody said that two
 * numbers are that, it is asked.
 * @example readEntry(plan, '15 + 30') // => { ok: true, value: 45, unit: 'mm' }
 * @example readEntry(plan, '12 to 68', { startAndFinish: true }) // => { ok: true, value: 56, unit: 'mm' }
 * @example readEntry(inWords, 'Damp') // => { ok: true, value: 2, unit: 'words' }
 */
export function readEntry(
  plan: Plan,
  text: string,
  { startAndFinish = false, kitchen = 'metric' }: EntryOptions = {},
): EntryResult {
  const method = measuredCard(plan)?.method
  if (method?.instrument === 'words') return readWord(method.words, text.trim())
  if (method?.instrument === 'race' || method?.instrument === 'balance') return readPlace(plan, text.trim())
  const read: ReadOptions = { unit: method?.unit ?? 'count', region: kitchen }
  const eachIs = method?.eachIs ?? 'shown'
  const both = startAndFinish || eachIs !== 'shown'
  const [, start, finish] = RANGE.exec(text) ?? (eachIs === 'shown' ? [] : (DASHED.exec(text) ?? []))
  if (start && finish) {
    if (!both) return { ok: false, code: 'start-or-range', position: start.length }
    return eachIs === 'used' ? readDifference(finish, start, read) : readDifference(start, finish, read)
  }
  if (DASHED.test(text)) return { ok: false, code: 'start-or-range', position: 0 }
  const [, whole, taken] = LESS.exec(text) ?? []
  if (whole && taken) return readDifference(taken, whole, read)
  const parts = text.split('+')
  return parts.length > 1 && parts.every((part) => part.trim() !== '') ? readSum(parts, read) : readQuantity(text, read)
}

/**
 * What a reading in several parts comes to, so that it can be shown while it is typed; undefined for a single number, and for what cannot be read yet.
 * @example workedOutEntry(soakUpPlan(), '15 + 30') // => 45
 */
export function workedOutEntry(plan: Plan, text: string, options: EntryOptions = {}): number | undefined {
  if (![RANGE, LESS, DASHED, /\S\s*\+\s*\S/].some((form) => form.test(text))) return undefined
  const read = readEntry(plan, text, options)
  return read.ok && read.unit !== 'words' && read.unit !== 'place' ? read.value : undefined
}

/** Does this class write a start and a finish: somebody's device or hand did. `writesStartAndFinish([]) // false` */
export function writesStartAndFinish(readings: { entered: string }[]): boolean {
  return readings.some(({ entered }) => RANGE.test(entered))
}

function readSum(parts: string[], options: ReadOptions): EntryResult {
  let sum = 0
  for (const part of parts) {
    const read = readQuantity(part, options)
    if (!read.ok) return read
    sum += read.value
  }
  return { ok: true, value: withoutNoise(sum), unit: options.unit }
}

function readDifference(start: string, finish: string, options: ReadOptions): EntryResult {
  const [from, to] = [readQuantity(start, options), readQuantity(finish, options)]
  if (!from.ok) return from
  return to.ok ? { ok: true, value: withoutNoise(to.value - from.value), unit: options.unit } : to
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
