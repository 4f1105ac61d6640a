import { unitOf } from '../quantity'
import type { ResolvedMethod } from '../test'

export interface Wobble {
  /** The smallest mark. */
  resolution: number
  /** Standard deviation of reading the mark. */
  readingSd: number
  /** Standard deviation of starting or stopping by hand. */
  timingSd: number
}

/**
 * Measuring wobble of one reading, as a standard deviation: what the mark cannot show, what the eye misreads and what the
 * hand is late by, added in squares. Resolution enters as a uniform error (JCGM 100:2008, 4.3.7).
 * @returns same unit as the three parts
 * @example measuringSd({ resolution: 1, readingSd: 1, timingSd: 0 }) // => 1.0408
 */
export function measuringSd({ resolution, readingSd, timingSd }: Wobble): number {
  return Math.sqrt(resolution ** 2 / 12 + readingSd ** 2 + timingSd ** 2)
}

/** Measuring wobble and trial-to-trial wobble together. `totalSd(6, 1.0408) // 6.0896` */
export function totalSd(trialSd: number, measuring: number): number {
  return Math.hypot(trialSd, measuring)
}

/** What the class's own kept readings say of its wobble. */
export interface LearnedWobble {
  /** Standard deviation of one result round its cell. */
  sd: number
  /** How far one group's own thing differs from another's, as a standard deviation. */
  own: number
}

const HALF_A_MARK = 0.5
const COUNTED_SURELY = 30
const MISCOUNTED = 0.02
export const ASSUMED_SHARE = 0.08

/**
 * Standard deviation of reading the instrument. What nobody typed follows the mark: half of one for a scale that a child reads; nothing for a count
 * up to 30, and 2 % of it above.
 * @example readingSdOf({ ...newMeasure('m', 'height').method, resolution: 2 }) // => 1
 */
export function readingSdOf(method: ResolvedMethod): number {
  if (method.readingWobble !== null) return method.readingWobble
  if (unitOf(method.unit).dimension !== 'number') return method.resolution * HALF_A_MARK
  const count = middleExpected(method) ?? 0
  return count > COUNTED_SURELY ? count * MISCOUNTED : 0
}

/** Where a wobble from one trial to the next is known from. */
export type WobbleSource = 'assumed' | 'said' | 'record'

/**
 * Standard deviation from one trial to the next: what the class's own readings show, else what practice, simulator or the teacher said, else assumed to be
 * 8 % of the middle of what is expected. It is never silently nothing.
 * @param measuring what measuring alone makes of it, taken out of what the record shows
 */
export function trialSdOf(
  method: ResolvedMethod,
  measuring: number,
  learned: LearnedWobble | undefined,
): { sd: number; from: WobbleSource } {
  if (learned) return { sd: Math.sqrt(Math.max(0, learned.sd ** 2 - measuring ** 2)), from: 'record' }
  if (method.trialWobble !== null) return { sd: method.trialWobble, from: 'said' }
  return { sd: ASSUMED_SHARE * Math.abs(middleExpected(method) ?? 0), from: 'assumed' }
}

/** The middle of the lowest and the highest result that the teacher expects. */
function middleExpected({ expectedLow, expectedHigh }: ResolvedMethod): number | undefined {
  const known = [expectedLow, expectedHigh].filter((value) => value !== null)
  return known.length === 0 ? undefined : known.reduce((sum, value) => sum + value, 0) / known.length
}
