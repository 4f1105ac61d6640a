import type { Plan } from '../lesson'
import { testOf, wayOf, type Device, type ResolvedMethod } from '../test'
import { convert, roundToMark, unitOf, withoutNoise } from '../quantity'

/**
 * The devices that give a reading of this kind, the usual one first.
 * @example devicesFor({ way: 'number', unit: 's', eachIs: 'shown' }) // => ['pad', 'stopwatch', 'laps', 'gate']
 */
export function devicesFor(method: Pick<ResolvedMethod, 'way' | 'unit' | 'eachIs'>): Device[] {
  return wayOf(method).devices(method)
}

/** What is looked at with these still stands there afterwards; an event that was timed or counted is over. */
export const LOOKED_AT: Device[] = ['pad', 'picture']

/**
 * How far up a word stands in its order, 0 for the least and 1 for the most; undefined where words have no order.
 * @example shareOfWord(inWords, 'damp') // => 0.5
 */
export function shareOfWord(plan: Plan, word: string): number | undefined {
  const { way, words } = testOf(plan)
  if (!way.turnsInto) return undefined
  return words.length < 2 ? 1 : words.indexOf(word) / (words.length - 1)
}

/**
 * What a stopwatch shows as a reading: of one event where several are timed at once, to the plan's mark.
 * @example stopwatchReading(12_346, { unit: 's', resolution: 0.01, atOnce: 10 }) // => 1.23
 */
export function stopwatchReading(
  milliseconds: number,
  { unit, resolution, atOnce }: Pick<ResolvedMethod, 'unit' | 'resolution' | 'atOnce'>,
) {
  const inUnit = convert(milliseconds / 1000 / Math.max(1, atOnce), 's', unit) ?? milliseconds / 1000
  return roundToMark(inUnit, resolution)
}

/** From where to where a picture of a scale goes, in the plan's unit, so that every result the teacher expects is well inside. */
export function pictureScale({ unit, resolution, expectedLow, expectedHigh }: ResolvedMethod): {
  low: number
  high: number
  step: number
} {
  const temperature = unitOf(unit).dimension === 'temperature'
  const usual = temperature ? { low: 0, high: 100 } : { low: 0, high: resolution * USUAL_MARKS }
  const low = temperature ? Math.min(usual.low, expectedLow ?? 0) : 0
  const high = Math.max(expectedHigh === null ? usual.high : expectedHigh * ROOM_ABOVE, low + resolution)
  return { low: roundToMark(low, resolution), high: withoutNoise(Math.ceil(high / resolution) * resolution), step: resolution }
}

const USUAL_MARKS = 100
const ROOM_ABOVE = 1.5
