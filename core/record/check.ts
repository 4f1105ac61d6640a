import { median, medianAbsoluteDeviation } from 'simple-statistics'
import { activeConditions, measuredCard, type Method, type Plan, type Reading } from '../lesson'
import { methodTotalSd } from '../measuring'
import { convert, onTheMark, UNIT_CODES, unitOf, withoutNoise, type UnitCode } from '../quantity'
import { countedReadings } from './readings'

const SLIP_SDS = 4
const SLIP_FITS_WITHIN = 2
const ODD_SDS = 3.5
const FELLOWS_TO_BE_ODD = 3
const SLIP_FACTORS = [10, 100, 1000, 60, 2.54]

export type Doubt =
  | { code: 'slip-unit'; suggested: number; unit: UnitCode; middle: number }
  | { code: 'slip-point'; suggested: number; factor: number; middle: number }
  | { code: 'odd'; middle: number; sds: number; side: 'above' | 'below' }
  | { code: 'too-fine'; resolution: number }
  | { code: 'impossible' }

export interface CheckOptions {
  unit: UnitCode
  resolution: number
  /** The wobble that the plan expects of one reading; the fellows' own is never taken smaller. */
  expectedSd: number
}

/**
 * What to ask about a number before it is written down; never altered, only asked. A slip is further than 4 robust sds
 * (1.4826 x MAD) from its fellows' middle and lies within 2 once multiplied by 10, 100, 1000, 60, 2.54 or one over these: a
 * slip of the unit first, of the point second. Odd is further than 3.5 robust sds with at least three fellows.
 * @param value   in `unit`
 * @param fellows kept readings of the same condition, same unit, without this one
 * @example checkEntry(5.3, [52, 55, 51], { unit: 'mm', resolution: 1, expectedSd: 3 })[0]
 *   // { code: 'slip-unit', suggested: 53, unit: 'cm', middle: 52 }
 */
export function checkEntry(value: number, fellows: number[], { unit, resolution, expectedSd }: CheckOptions): Doubt[] {
  const dimension = unitOf(unit).dimension
  if (value < 0 && dimension !== 'temperature') return [{ code: 'impossible' }]
  const doubts: Doubt[] = []
  if (fellows.length > 0) {
    const middle = median(fellows)
    const distance = Math.abs(value - middle)
    // Near enough by the expected wobble alone: the fellows' own can only make it nearer.
    const sd = distance <= ODD_SDS * expectedSd ? expectedSd : Math.max(1.4826 * medianAbsoluteDeviation(fellows), expectedSd)
    const away = distance / sd
    const slip = away > SLIP_SDS ? findSlip(value, middle, sd, unit) : undefined
    if (slip) doubts.push(slip)
    else if (away > ODD_SDS && fellows.length >= FELLOWS_TO_BE_ODD) {
      doubts.push({ code: 'odd', middle, sds: away, side: value > middle ? 'above' : 'below' })
    }
  }
  if (doubts.length === 0 && !onTheMark(value, resolution)) doubts.push({ code: 'too-fine', resolution })
  return doubts
}

/** What to ask about a reading, or about a number about to become one, among its fellows in the lesson. */
export function checkReading(
  plan: Plan,
  readings: Reading[],
  entry: { id?: string; condition: string; moment: string; value: number; unit: UnitCode },
): Doubt[] {
  const method = measuredCard(plan)?.method
  if (!method) return []
  return checkAmong(countedReadings(plan, readings), method, entry)
}

/** Every kept reading that somebody should look at again and nobody has confirmed yet. */
export function doubtfulReadings(plan: Plan, readings: Reading[]): { reading: Reading; doubts: Doubt[] }[] {
  const counted = countedReadings(plan, readings)
  const unconfirmed = counted.filter(({ confirmed }) => !confirmed)
  return doubtsAmong(plan, counted, unconfirmed).filter(({ doubts }) => doubts.some(({ code }) => code !== 'too-fine'))
}

/**
 * What is to be asked about these readings, each beside its kept fellows; those about which there is nothing to ask are left out.
 * @param counted what counts, in the plan's unit
 * @param asked   the readings in question, counted or set aside
 */
export function doubtsAmong(plan: Plan, counted: Reading[], asked: Reading[]): { reading: Reading; doubts: Doubt[] }[] {
  const method = measuredCard(plan)?.method
  if (!method) return []
  const nearness = ODD_SDS * methodTotalSd(method)
  return activeConditions(plan).flatMap(({ id }) => {
    const ofCondition = counted.filter((reading) => reading.condition === id)
    const middles = middlesOf(ofCondition)
    return asked
      .filter((reading) => reading.condition === id && !isNear(method, reading, middles.get(reading.moment) ?? [], nearness))
      .map((reading) => ({ reading, doubts: checkAmong(ofCondition, method, reading) }))
      .filter(({ doubts }) => doubts.length > 0)
  })
}

/** The values in the middle, at most four: without any one of its readings, a condition's middle lies among them. */
function middlesOf(readings: Reading[]): Map<string, number[]> {
  const moments = new Map<string, number[]>()
  for (const { moment, value } of readings) {
    const values = moments.get(moment)
    if (values) values.push(value)
    else moments.set(moment, [value])
  }
  return new Map(
    [...moments].map(([moment, values]) => {
      values.sort((a, b) => a - b)
      const half = Math.floor(values.length / 2)
      return [moment, values.slice(Math.max(0, half - 2), half + 2)]
    }),
  )
}

/** So near to the middle, whichever fellow is left out, that there is nothing to ask. */
function isNear(method: Method, reading: Reading, middles: number[], nearness: number): boolean {
  const value = convert(reading.value, reading.unit, method.unit)
  if (value === undefined || value < 0 || middles.length === 0) return false
  return middles.every((middle) => Math.abs(value - middle) <= nearness)
}

function checkAmong(
  counted: Reading[],
  method: Method,
  entry: { id?: string; condition: string; moment: string; value: number; unit: UnitCode },
): Doubt[] {
  const value = convert(entry.value, entry.unit, method.unit)
  // A word or a place in an order cannot slip by a unit or a point.
  if (value === undefined || method.instrument !== 'number') return []
  const fellows = counted
    .filter(({ id, condition, moment }) => condition === entry.condition && moment === entry.moment && id !== entry.id)
    .map((reading) => reading.value)
  return checkEntry(value, fellows, {
    unit: method.unit,
    resolution: method.resolution,
    expectedSd: methodTotalSd(method),
  })
}

function findSlip(value: number, middle: number, sd: number, unit: UnitCode): Doubt | undefined {
  const fits = (factor: number) => Math.abs(value * factor - middle) <= SLIP_FITS_WITHIN * sd
  const dimension = unitOf(unit).dimension
  for (const other of UNIT_CODES) {
    if (other === unit || unitOf(other).dimension !== dimension || dimension === 'temperature') continue
    const factor = convert(1, other, unit)
    const known = SLIP_FACTORS.some((each) => near(factor!, each) || near(factor!, 1 / each))
    if (known && fits(factor!)) {
      return { code: 'slip-unit', suggested: withoutNoise(value * factor!), unit: other, middle }
    }
  }
  for (const factor of SLIP_FACTORS.flatMap((each) => [each, 1 / each])) {
    if (fits(factor)) return { code: 'slip-point', suggested: withoutNoise(value * factor), factor, middle }
  }
  return undefined
}

function near(a: number, b: number): boolean {
  return Math.abs(a / b - 1) < 1e-9
}
