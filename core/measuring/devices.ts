import type { Method } from '../lesson'
import { convert, roundToMark, unitOf, withoutNoise, type Dimension } from '../quantity'

/** What a number is read with at a station. The last three are stand-ins for devices that would be plugged in. */
export type Device =
  | 'pad'
  | 'stopwatch'
  | 'laps'
  | 'counter'
  | 'start-and-finish'
  | 'empty-and-full'
  | 'picture'
  | 'words'
  | 'probe'
  | 'scale'
  | 'gate'

const DEVICES_OF: Partial<Record<Dimension, Device[]>> = {
  time: ['stopwatch', 'laps', 'gate'],
  number: ['counter'],
  length: ['start-and-finish', 'picture'],
  volume: ['start-and-finish', 'empty-and-full', 'picture'],
  mass: ['empty-and-full', 'scale'],
  temperature: ['start-and-finish', 'picture', 'probe'],
}

/**
 * The devices that give a reading of this kind, the usual one first. A place in an order that is put right is typed.
 * @example devicesFor({ instrument: 'number', unit: 's' }) // => ['pad', 'stopwatch', 'laps', 'gate']
 */
export function devicesFor({
  instrument,
  unit,
  eachIs = 'shown',
}: Pick<Method, 'instrument' | 'unit'> & Partial<Method>): Device[] {
  if (instrument === 'words') return ['words']
  // What was used or gained is two readings, and they are asked for one by one.
  if (instrument === 'number' && eachIs !== 'shown') return ['start-and-finish', 'pad']
  return instrument === 'number' ? ['pad', ...(DEVICES_OF[unitOf(unit).dimension] ?? [])] : ['pad']
}

/** What is looked at with these still stands there afterwards; an event that was timed or counted is over. */
export const LOOKED_AT: Device[] = ['pad', 'picture']

/** How far up a word stands in its order, 0 for the least and 1 for the most. `shareOfWord(['dry', 'damp', 'wet'], 'damp') // 0.5` */
export function shareOfWord(words: string[], word: string): number {
  return words.length < 2 ? 1 : words.indexOf(word) / (words.length - 1)
}

/**
 * What a stopwatch shows as a reading: of one event where several are timed at once, to the plan's mark.
 * @example stopwatchReading(12_346, { unit: 's', resolution: 0.01, atOnce: 10 }) // => 1.23
 */
export function stopwatchReading(
  milliseconds: number,
  { unit, resolution, atOnce }: Pick<Method, 'unit' | 'resolution' | 'atOnce'>,
) {
  const inUnit = convert(milliseconds / 1000 / Math.max(1, atOnce), 's', unit) ?? milliseconds / 1000
  return roundToMark(inUnit, resolution)
}

/** From where to where a picture of a scale goes, in the plan's unit, so that every result the teacher expects is well inside. */
export function pictureScale({ unit, resolution, expectedLow, expectedHigh }: Method): { low: number; high: number; step: number } {
  const temperature = unitOf(unit).dimension === 'temperature'
  const usual = temperature ? { low: 0, high: 100 } : { low: 0, high: resolution * USUAL_MARKS }
  const low = temperature ? Math.min(usual.low, expectedLow ?? 0) : 0
  const high = Math.max(expectedHigh === null ? usual.high : expectedHigh * ROOM_ABOVE, low + resolution)
  return { low: roundToMark(low, resolution), high: withoutNoise(Math.ceil(high / resolution) * resolution), step: resolution }
}

const USUAL_MARKS = 100
const ROOM_ABOVE = 1.5
