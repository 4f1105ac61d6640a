import type { GraphKind, NumberMethod, Plan, Way, WordsMethod } from '../../lesson'
import type { KitchenRegion, ReadErrorCode, UnitCode } from '../../quantity'

/** A method as everybody asks it, whatever its way: what the way does not know stands at nothing. */
export type ResolvedMethod = Omit<NumberMethod, 'way'> & Pick<WordsMethod, 'words' | 'wordPictures'> & { way: Way }

/** What a reading is taken with at a station. The last three are stand-ins for devices that would be plugged in. */
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

export type EntryErrorCode = ReadErrorCode | 'not-one-of-the-words' | 'not-a-place' | 'start-or-range'
export type EntryResult = { ok: true; value: number; unit: UnitCode } | { ok: false; code: EntryErrorCode; position: number }

export interface EntryOptions {
  /** Two numbers with "to" between them are a start and a finish: a device that takes both, or a class that writes them so. */
  startAndFinish?: boolean
  /** The unit of a bare number, where a heading or a column says another than the plan. */
  unit?: UnitCode
  /** Whose cups and spoons a number is typed in. */
  kitchen?: KitchenRegion
}

/** A graph that only this way of reading has, and why it shows its results best. */
export interface GraphOfWay {
  best: GraphKind
  reason: 'places' | 'words' | 'words-over-time' | 'sorts'
}

/** A way of reading: everything that makes it differ from the others. What it is called stands in core/wording/ways. */
export interface WayOfReading {
  code: Way
  /** Readings are amounts: they can be added, averaged and taken from each other. */
  isAmount: boolean
  /** A reading is one of the plan's words. */
  fromWords: boolean
  /** A reading is a place in an order that is found by trying all conditions together. */
  isPlace: boolean
  /** Readings can be put in an order, from the least to the most. */
  ranks: boolean
  /** One word turns into the next: readings of words come in an order. */
  turnsInto: boolean
  /** Two things at a time are weighed against each other, heaviest first. */
  weighsTwo: boolean
  /** All start at one signal, and the eye says who is first. */
  sideBySide: boolean
  /** The unit of all its readings; undefined where the method says. */
  unit: UnitCode | undefined
  /** The unit in which a place is expected; undefined where results are expected in their own unit. */
  expectedUnit: UnitCode | undefined
  /** What stands in a method that is read so for the first time. */
  begun: Partial<ResolvedMethod>
  /** What it stores besides what every way does. */
  parts: readonly (keyof ResolvedMethod)[]
  /** What was typed for one reading. */
  read: (method: Pick<ResolvedMethod, 'unit' | 'eachIs' | 'words'>, text: string, options: EntryOptions, plan: Plan) => EntryResult
  /** The devices that give a reading, the usual one first. */
  devices: (method: Pick<ResolvedMethod, 'unit' | 'eachIs'>) => Device[]
  /** What a group sees when it is its trial's turn. */
  screen: 'trial' | 'order' | 'balance'
  /** What stands for several readings in one. */
  middle: (values: number[]) => number
  /** @param overTimes a trial is read at several times */
  graph: (overTimes: boolean) => GraphOfWay | undefined
}
