import { mean } from 'simple-statistics'
import { readQuantity, unitOf, withoutNoise, type Dimension, type ReadOptions } from '../../quantity'
import type { Device, EntryResult, WayOfReading } from './way'

export const RANGE = /^\s*(.+?)\s+to\s+(.+?)\s*$/i
export const LESS = /^\s*(\S.*?)\s+[-−–]\s+(\S.*?)\s*$/
export const DASHED = /^\s*(\d+(?:[.,]\d+)?)[-−–](\d+(?:[.,]\d+)?)\s*$/

const DEVICES_OF: Partial<Record<Dimension, Device[]>> = {
  time: ['stopwatch', 'laps', 'gate'],
  number: ['counter'],
  length: ['start-and-finish', 'picture'],
  volume: ['start-and-finish', 'empty-and-full', 'picture'],
  mass: ['empty-and-full', 'scale'],
  temperature: ['start-and-finish', 'picture', 'probe'],
}

/** A number with a unit: with or without it, a sum of parts, one less another, a start and a finish. */
export const number: WayOfReading = {
  code: 'number',
  isAmount: true,
  fromWords: false,
  isPlace: false,
  ranks: true,
  turnsInto: false,
  weighsTwo: false,
  sideBySide: false,
  unit: undefined,
  expectedUnit: undefined,
  begun: { unit: 'cm', resolution: 1, readingWobble: null },
  parts: [
    'unit',
    'resolution',
    'readingWobble',
    'timingWobble',
    'atOnce',
    'warmUp',
    'differenceThatMatters',
    'eachIs',
    'weighsEmpty',
    'empties',
    'known',
    'knownName',
    'knownWeekly',
    'bestNumber',
    'mostPossible',
  ],
  read: (method, text, { startAndFinish = false, kitchen = 'metric', unit = method.unit }) => {
    const { eachIs } = method
    const read: ReadOptions = { unit, region: kitchen }
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
  },
  // What was used or gained is two readings, and they are asked for one by one.
  devices: ({ unit, eachIs }) =>
    eachIs === 'shown' ? ['pad', ...(DEVICES_OF[unitOf(unit).dimension] ?? [])] : ['start-and-finish', 'pad'],
  screen: 'trial',
  middle: mean,
  graph: () => undefined,
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
