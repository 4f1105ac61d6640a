import type { Plan } from '../lesson'
import { isAmount, unitOf } from '../quantity'
import { testOf } from './test'
import { DASHED, LESS, RANGE, type EntryOptions, type EntryResult } from './ways'

/**
 * What was typed for one reading, in the plan's unit: a number with or without its unit, a sum of parts, one less another, one of the words, or a
 * place in an order. From a start to a finish it is the difference that counts, from a start to what is left what was used; where nobody said that two
 * numbers are that, it is asked.
 * @example readEntry(plan, '15 + 30') // => { ok: true, value: 45, unit: 'mm' }
 * @example readEntry(plan, '12 to 68', { startAndFinish: true }) // => { ok: true, value: 56, unit: 'mm' }
 * @example readEntry(inWords, 'Damp') // => { ok: true, value: 2, unit: 'words' }
 */
export function readEntry(plan: Plan, text: string, options: EntryOptions = {}): EntryResult {
  const { way, method, unit } = testOf(plan)
  return way.read(method ?? { unit, eachIs: 'shown', words: [] }, text, options, plan)
}

/**
 * What a reading in several parts comes to, so that it can be shown while it is typed; undefined for a single number, and for what cannot be read yet.
 * @example workedOutEntry(soakUpPlan(), '15 + 30') // => 45
 */
export function workedOutEntry(plan: Plan, text: string, options: EntryOptions = {}): number | undefined {
  if (![RANGE, LESS, DASHED, /\S\s*\+\s*\S/].some((form) => form.test(text))) return undefined
  const read = readEntry(plan, text, options)
  return read.ok && isAmount(read.unit) ? read.value : undefined
}

/**
 * The signs that a number pad needs beside digits: what fills several cups or is counted in helpings is added up, what was used or has risen is one number less another.
 * @example signsOnPad(soakUpPlan()) // => []
 */
export function signsOnPad(plan: Plan): ('+' | '−')[] {
  const { method, unit } = testOf(plan)
  if (!isAmount(unit)) return []
  const adds = ['volume', 'mass', 'number'].includes(unitOf(unit).dimension)
  const subtracts = method?.way === 'number' && (method.eachIs !== 'shown' || method.weighsEmpty)
  return [...(adds ? (['+'] as const) : []), ...(subtracts ? (['−'] as const) : [])]
}

/** Does this class write a start and a finish: somebody's device or hand did. `writesStartAndFinish([]) // false` */
export function writesStartAndFinish(readings: { entered: string }[]): boolean {
  return readings.some(({ entered }) => RANGE.test(entered))
}
