import { type Kind, type Way } from '../lesson'
import { readBy, KINDS_OF_TEST, WAYS_OF_READING, type ResolvedMethod } from '../test'
import { convert, unitOf, withoutNoise, type UnitCode } from '../quantity'
import { measuringSd, readingSdOf } from './wobble'

export interface Instrument {
  code: string
  /** How a reading is taken; most give a number. */
  reads: Way
  tool: string
  unit: UnitCode
  /** The smallest mark, in `unit`. */
  resolution: number
  /** Standard deviations, in `unit`; a reading wobble of null follows the mark. */
  readingWobble: number | null
  timingWobble: number
}

/** A scale that a child reads: its wobble follows the mark. */
function marked(code: string, tool: string, unit: UnitCode, resolution: number): Instrument {
  return { code, reads: 'number', tool, unit, resolution, readingWobble: null, timingWobble: 0 }
}

/** Instruments of a primary classroom with the wobble of a child's hand and eye (docs/decisions.md "Assumed wobble"). */
export const INSTRUMENTS: Instrument[] = [
  marked('ruler-mm', 'ruler', 'mm', 1),
  marked('ruler-cm', 'centimetre ruler', 'cm', 1),
  marked('tape', 'tape measure', 'cm', 1),
  {
    code: 'stopwatch-child',
    reads: 'number',
    tool: 'stopwatch, in a child’s hand',
    unit: 's',
    resolution: 0.01,
    readingWobble: 0,
    timingWobble: 0.15,
  },
  {
    code: 'stopwatch-adult',
    reads: 'number',
    tool: 'stopwatch, in an adult’s hand',
    unit: 's',
    resolution: 0.01,
    readingWobble: 0,
    timingWobble: 0.1,
  },
  { code: 'scale', reads: 'number', tool: 'digital kitchen scale', unit: 'g', resolution: 1, readingWobble: 0, timingWobble: 0 },
  marked('jug', 'measuring jug', 'mL', 25),
  marked('syringe', 'syringe', 'mL', 1),
  marked('thermometer', 'thermometer', 'degC', 1),
  marked('force-meter', 'force meter', 'N', 0.1),
  { code: 'counter', reads: 'number', tool: 'counting', unit: 'count', resolution: 1, readingWobble: null, timingWobble: 0 },
  { code: 'words', reads: 'words', tool: '', unit: 'words', resolution: 1, readingWobble: 0, timingWobble: 0 },
  { code: 'sorts', reads: 'sorts', tool: '', unit: 'sorts', resolution: 1, readingWobble: 0, timingWobble: 0 },
  {
    code: 'race',
    reads: 'race',
    tool: 'side by side, who is first',
    unit: 'place',
    resolution: 1,
    readingWobble: 0,
    timingWobble: 0,
  },
  { code: 'balance', reads: 'balance', tool: 'pan balance', unit: 'place', resolution: 1, readingWobble: 0, timingWobble: 0 },
]

/** The instruments that a kind of test can be read with. */
export function instrumentsFor(kind: Kind): Instrument[] {
  return INSTRUMENTS.filter(({ reads }) => KINDS_OF_TEST[kind].ways.includes(reads))
}

/**
 * The method with another instrument. What was said in the old unit is turned into the new one where both measure the same, and
 * forgotten where they do not.
 * @example withInstrument({ ...plan.measures[0]!.method, unit: 'cm' }, instrumentsFor('fair-test')[0]!).unit // => 'mm'
 */
export function withInstrument(method: ResolvedMethod, instrument: Instrument): ResolvedMethod {
  const { tool, unit, resolution, readingWobble, timingWobble } = instrument
  if (!WAYS_OF_READING[instrument.reads].isAmount) return { ...readBy(method, instrument.reads), tool }
  const forgets = unitOf(unit).dimension !== unitOf(method.unit).dimension
  // A wobble is a distance: degrees of two scales differ by their size and not by their zero.
  const turned = (value: number) => (forgets ? 0 : withoutNoise((value * unitOf(method.unit).size) / unitOf(unit).size))
  const expected = (value: number | null) => (value === null ? null : (convert(value, method.unit, unit) ?? null))
  return {
    ...readBy(method, instrument.reads),
    tool,
    unit,
    resolution,
    readingWobble,
    timingWobble,
    trialWobble: forgets || method.trialWobble === null ? null : turned(method.trialWobble),
    // The most metres and the most seconds are not best alike.
    best: forgets ? null : method.best,
    differenceThatMatters: turned(method.differenceThatMatters),
    expectedLow: expected(method.expectedLow),
    expectedHigh: expected(method.expectedHigh),
    expected: Object.fromEntries(
      Object.entries(method.expected).flatMap(([id, value]) => {
        const inUnit = convert(value, method.unit, unit)
        return inUnit === undefined ? [] : [[id, inUnit]]
      }),
    ),
  }
}

/** Instruments for the same kind of quantity that wobble less than the method does now, the steadiest first. */
export function steadierInstruments(method: ResolvedMethod): Instrument[] {
  const sdOf = (one: Pick<ResolvedMethod, 'unit' | 'resolution' | 'readingWobble' | 'timingWobble'>) => {
    const readingSd = readingSdOf({ ...method, ...one })
    return measuringSd({ resolution: one.resolution, readingSd, timingSd: one.timingWobble }) * unitOf(one.unit).size
  }
  const same = INSTRUMENTS.filter(
    ({ unit, reads }) => reads === method.way && unitOf(unit).dimension === unitOf(method.unit).dimension,
  )
  return same.filter((one) => sdOf(one) < sdOf(method) * (1 - 1e-9)).sort((a, b) => sdOf(a) - sdOf(b))
}
