import { oncePerPair } from '../chance'
import { activeConditions, measuredCard, momentOf, momentsOf, type Method, type Plan, type Reading } from '../lesson'
import { resultMeasuringSd, totalSd, trialSdOf } from '../measuring'
import { convert, onTheMark, readQuantity, unitOf, withoutNoise, type UnitCode } from '../quantity'
import { countedReadings } from './readings'

const SLIP_SDS = 4
const SLIP_FITS_WITHIN = 2
const ODD_SDS = 3.5
/** With fewer fellows the teacher's expectation counts as one. */
const FELLOWS_ENOUGH = 3
/** So many residuals are needed before anything is called odd. */
const RESIDUALS_TO_BE_ODD = 5
const READINGS_FOR_A_LEVEL = 3
const MAD_TO_SD = 1.4826
const ASSUMED_SHARE = 0.08

/** `middle` is where its fellows lie; null for whoever may not see them. */
export type Slip =
  | { code: 'slip-unit'; suggested: number; unit: UnitCode; middle: number | null }
  | { code: 'slip-point'; suggested: number; factor: number; middle: number | null }
  | { code: 'slip-digits'; suggested: number; middle: number | null }
  | { code: 'slip-swapped'; place: string; middle: number | null }
  | { code: 'slip-empty'; suggested: number; empty: number; middle: number | null }

export type Doubt =
  | Slip
  | { code: 'odd'; middle: number | null; sds: number; side: 'above' | 'below' }
  | { code: 'too-fine'; resolution: number }
  | { code: 'impossible' }

/** Was it written down wrongly, rather than odd in itself? `isSlip({ code: 'impossible' }) // false` */
export function isSlip(doubt: Doubt): doubt is Slip {
  return doubt.code.startsWith('slip-')
}

/** A number about to become a reading, or one that is. */
export interface AskedEntry {
  id?: string | undefined
  group: string
  condition: string
  repeat: number
  moment: string
  value: number
  unit: UnitCode
  /** The words as they were entered. */
  entered: string
}

export interface Surroundings {
  unit: UnitCode
  /** The smallest mark. */
  resolution: number
  /** Where its fellows lie, the group's own level added; from the lowest to the highest that the teacher expects, where there are none. */
  near: { low: number; high: number } | undefined
  /** Where its fellows lie as they were written, for words. */
  middle: number
  sd: number
  /** Enough is known of the wobble to call something odd. */
  canBeOdd: boolean
  /** Units of the same dimension that people here could have read in. */
  units: UnitCode[]
  /** The other place of the same jar, read at the same time. */
  other: { place: string; value: number; near: { low: number; high: number } } | undefined
  /** What the containers weigh or hold empty, where readings were taken from empty to full. */
  empty: number | undefined
  /** It was written in another unit and turned into this one. */
  converted: boolean
}

/**
 * What to ask about a number before it is written down; never altered, only asked. A slip is further than 4 sds from its fellows' middle
 * and lies within 2 once the unit, the point, the digits or the place are put right, or the empty container is taken off. Odd is further than 3.5 sds. More digits
 * than the tool can show are asked about after that.
 * @param value in `unit`
 * @example checkEntry(5.3, { unit: 'mm', resolution: 1, near: { low: 52, high: 52 }, middle: 52, sd: 3, canBeOdd: true,
 *   units: ['cm', 'm'], other: undefined, empty: undefined, converted: false })[0] // { code: 'slip-unit', suggested: 53, unit: 'cm', middle: 52 }
 */
export function checkEntry(value: number, around: Surroundings): Doubt[] {
  const { unit, resolution, near, middle, sd, canBeOdd, converted } = around
  if (value < 0 && unitOf(unit).dimension !== 'temperature') return [{ code: 'impossible' }]
  const doubts: Doubt[] = []
  if (near) {
    const away = distance(value, near) / sd
    const slip = away > SLIP_SDS ? findSlip(value, near, around) : undefined
    if (slip) doubts.push(slip)
    else if (canBeOdd && away > ODD_SDS)
      doubts.push({ code: 'odd', middle, sds: away, side: value > near.high ? 'above' : 'below' })
  }
  if (!converted && !onTheMark(value, resolution)) doubts.push({ code: 'too-fine', resolution })
  return doubts
}

/** What to ask about a reading, or about a number about to become one, among its fellows in the lesson. */
export function checkReading(plan: Plan, readings: Reading[], entry: AskedEntry): Doubt[] {
  const method = measuredCard(plan)?.method
  return method ? checkAmong(plan, method, fellowship(plan, readings), entry) : []
}

/** Every kept reading that somebody should look at again and nobody has confirmed yet. */
export const doubtfulReadings = oncePerPair((plan: Plan, readings: Reading[]): { reading: Reading; doubts: Doubt[] }[] => {
  const unconfirmed = countedReadings(plan, readings).filter(({ confirmed }) => !confirmed)
  return doubtsAmong(plan, readings, unconfirmed).filter(({ doubts }) => doubts.some(({ code }) => code !== 'too-fine'))
})

/**
 * What is to be asked about these readings, each beside its kept fellows; those about which there is nothing to ask are left out.
 * @param readings all rows of the lesson
 * @param asked    the readings in question, counted or set aside
 */
export function doubtsAmong(plan: Plan, readings: Reading[], asked: Reading[]): { reading: Reading; doubts: Doubt[] }[] {
  const method = measuredCard(plan)?.method
  if (!method) return []
  const fellows = fellowship(plan, readings)
  const active = new Set(activeConditions(plan).map(({ id }) => id))
  return asked
    .filter((reading) => active.has(reading.condition) && !liesAmong(plan, method, fellows, reading))
    .map((reading) => ({ reading, doubts: checkAmong(plan, method, fellows, reading) }))
    .filter(({ doubts }) => doubts.length > 0)
}

/** What groups have of the same condition, moment and place, with each group's own level taken out. */
interface Fellowship {
  counted: Reading[]
  byId: Map<string, Reading>
  /** Values less their group's level, ascending, by condition and moment. */
  values: Map<string, number[]>
  levels: Map<string, number>
  /** Robust sd of what is left, over all and by condition and moment; undefined where there are too few. */
  pooledSd: number | undefined
  ownSd: Map<string, number>
  middleOfAll: number | undefined
  empty: number | undefined
  /** Somebody wrote inches. */
  inches: boolean
}

const fellowship = oncePerPair((plan: Plan, readings: Reading[]): Fellowship => {
  const counted = countedReadings(plan, readings)
  const byKey = new Map<string, Reading[]>()
  for (const reading of [...counted].sort((a, b) => a.value - b.value)) addTo(byKey, keyOf(reading), reading)
  const levels = levelsOf(byKey)
  const values = new Map(
    [...byKey].map(([key, own]) => [key, own.map(({ group, value }) => value - (levels.get(group) ?? 0)).sort((a, b) => a - b)]),
  )
  const several = [...values].filter(([, own]) => own.length >= FELLOWS_ENOUGH)
  const left = several.flatMap(([, own]) => residualsOf(own))
  // Middles and levels were taken from the same readings: what is left looks a little too near to them.
  const spent = several.length + levels.size
  const widened = Math.sqrt(left.length / Math.max(1, left.length - spent))
  const robust = (residuals: number[]) => MAD_TO_SD * middleOf([...residuals].sort((a, b) => a - b))! * widened
  return {
    counted,
    byId: new Map(counted.map((reading) => [reading.id, reading])),
    values,
    levels,
    pooledSd: left.length >= RESIDUALS_TO_BE_ODD ? robust(left) : undefined,
    ownSd: new Map(
      several.flatMap(([key, own]) => (own.length >= RESIDUALS_TO_BE_ODD ? [[key, robust(residualsOf(own))] as const] : [])),
    ),
    middleOfAll: middleOf(valuesOf(counted).sort((a, b) => a - b)),
    empty: emptyOf(plan, counted),
    inches: counted.some(({ entered }) => /\d\s*(?:in\b|inch|")/i.test(entered)),
  }
})

function residualsOf(ascending: number[]): number[] {
  const middle = middleOf(ascending)!
  return ascending.map((value) => Math.abs(value - middle))
}

/** How far a group with three readings or more lies above the others, in the middle of all its readings; each condition's come ascending. */
function levelsOf(byKey: Map<string, Reading[]>): Map<string, number> {
  const away = new Map<string, number[]>()
  for (const own of byKey.values()) {
    const middles = new Map<string, number | undefined>()
    for (const { group, value } of own) {
      if (!middles.has(group)) middles.set(group, middleOf(valuesOf(own.filter((one) => one.group !== group))))
      const middle = middles.get(group)
      if (middle !== undefined) addTo(away, group, value - middle)
    }
  }
  return new Map(
    [...away].flatMap(([group, distances]) =>
      distances.length < READINGS_FOR_A_LEVEL ? [] : [[group, middleOf(distances.sort((a, b) => a - b))!] as const],
    ),
  )
}

/** What most readings began from, where they were taken from empty to full: "23 to 85". */
function emptyOf(plan: Plan, counted: Reading[]): number | undefined {
  const unit = measuredCard(plan)?.method.unit
  const starts = counted.flatMap(({ entered }) => {
    const start = / to /i.test(entered) ? entered.split(/ to /i)[0]! : ''
    const read = unit && start !== '' ? readQuantity(start, { unit }) : undefined
    return read?.ok ? [read.value] : []
  })
  const middle = middleOf(starts.sort((a, b) => a - b))
  return middle === undefined || middle <= 0 ? undefined : middle
}

function checkAmong(plan: Plan, method: Method, fellows: Fellowship, entry: AskedEntry): Doubt[] {
  const value = convert(entry.value, entry.unit, method.unit)
  // A word or a place in an order cannot slip by a unit or a point.
  if (value === undefined || method.instrument !== 'number') return []
  const near = nearFor(plan, fellows, entry)
  return checkEntry(value, {
    unit: method.unit,
    resolution: method.resolution,
    near,
    middle: middleOf(rawFellowsOf(fellows, entry)) ?? (near ? nearest(value, near) : value),
    sd: sdFor(plan, method, fellows, entry),
    canBeOdd: fellows.pooledSd !== undefined && fellowsOf(fellows, entry).length >= FELLOWS_ENOUGH,
    units: unitsNear(plan, method, fellows),
    other: otherPlace(plan, fellows, entry),
    empty: / to /i.test(entry.entered) ? undefined : fellows.empty,
    converted: isConverted(entry.entered, method.unit),
  })
}

/** In the middle of its many fellows, to the mark and in the plan's unit, there is nothing to ask: the desk looks through all readings twice a second. */
function liesAmong(plan: Plan, method: Method, fellows: Fellowship, reading: Reading): boolean {
  const own = fellows.values.get(keyOf(reading)) ?? []
  if (reading.unit !== method.unit || reading.value < 0 || own.length <= FELLOWS_ENOUGH + 1) return false
  const value = reading.value - (fellows.levels.get(reading.group) ?? 0)
  const half = Math.floor(own.length / 2)
  // Whichever one is left out, the middle lies among these.
  const middles = own.slice(half - 2, half + 2)
  const reach = ODD_SDS * (fellows.pooledSd ?? 0)
  return middles.every((middle) => Math.abs(value - middle) <= reach) && onTheMark(reading.value, method.resolution)
}

/** Values of the same condition and moment, this one left out, at this group's own level. */
function fellowsOf({ values, levels, byId }: Fellowship, entry: AskedEntry): number[] {
  const own = values.get(keyOf(entry)) ?? []
  const level = levels.get(entry.group) ?? 0
  const itself = entry.id === undefined ? undefined : byId.get(entry.id)
  const without = itself && keyOf(itself) === keyOf(entry) ? leaveOut(own, itself.value - level) : own
  return without.map((value) => value + level)
}

function rawFellowsOf({ counted }: Fellowship, entry: AskedEntry): number[] {
  return counted
    .filter((one) => keyOf(one) === keyOf(entry) && one.id !== entry.id)
    .map(({ value }) => value)
    .sort((a, b) => a - b)
}

function leaveOut(ascending: number[], value: number): number[] {
  const place = ascending.indexOf(value)
  return place < 0 ? ascending : [...ascending.slice(0, place), ...ascending.slice(place + 1)]
}

/**
 * While there are few fellows, what the teacher expects of this condition is one of them; where only the lowest and the highest of all are expected, they are
 * gone by alone, with half their distance to spare on either side since they are a guess; and without either, what the class has read so far of anything.
 */
function nearFor(plan: Plan, fellows: Fellowship, entry: AskedEntry): Surroundings['near'] {
  const own = fellowsOf(fellows, entry)
  if (own.length >= FELLOWS_ENOUGH) return at(middleOf(own)!)
  const method = measuredCard(plan)?.method
  // Tries at a better one are meant to go beyond what was expected.
  const once = momentsOf(plan).length === 1 && plan.kind !== 'improve'
  const expected = once ? method?.expected[entry.condition] : undefined
  if (expected !== undefined) return at(middleOf([...own, expected].sort((a, b) => a - b))!)
  const [low, high] = [method?.expectedLow ?? null, method?.expectedHigh ?? null]
  if (once && low !== null && high !== null) return { low: low - (high - low) / 2, high: high + (high - low) / 2 }
  if (own.length === 0 || fellows.middleOfAll === undefined) return undefined
  return at(middleOf((own.length === 1 ? [...own, fellows.middleOfAll] : own).sort((a, b) => a - b))!)
}

function at(value: number): { low: number; high: number } {
  return { low: value, high: value }
}

function nearest(value: number, { low, high }: { low: number; high: number }): number {
  return Math.min(high, Math.max(low, value))
}

function distance(value: number, near: { low: number; high: number }): number {
  return Math.abs(value - nearest(value, near))
}

/** The larger of what the plan expects and what the class shows; what was only assumed gives way to what is shown. */
function sdFor(plan: Plan, method: Method, { pooledSd, ownSd, middleOfAll }: Fellowship, entry: AskedEntry): number {
  const measuring = resultMeasuringSd(plan, method)
  const { sd, from } = trialSdOf(method, measuring, undefined)
  const assumed = sd === 0 ? ASSUMED_SHARE * Math.abs(middleOfAll ?? 0) : sd
  const planned = from === 'said' ? totalSd(sd, measuring) : pooledSd === undefined ? totalSd(assumed, measuring) : measuring
  return Math.max(planned, pooledSd ?? 0, ownSd.get(keyOf(entry)) ?? 0)
}

const PAIRED_UNITS: UnitCode[][] = [
  ['mm', 'cm', 'm'],
  ['in', 'ft'],
  ['g', 'kg'],
  ['oz', 'lb'],
  ['mL', 'L'],
  ['s', 'min', 'h'],
  ['degC', 'degF'],
]
const INCHES: UnitCode[] = ['in', 'ft']

/** Units that stand beside the plan's own on the same tools; inches beside centimetres only where inches are about. */
function unitsNear(plan: Plan, { unit }: Method, { inches }: Fellowship): UnitCode[] {
  const near = PAIRED_UNITS.filter((units) => units.includes(unit)).flat()
  const inchesAbout = INCHES.includes(unit) || INCHES.includes(plan.conditionUnit) || inches
  const crossed: UnitCode[] = unitOf(unit).dimension === 'length' && inchesAbout ? ['cm', 'mm', 'in'] : []
  return [...new Set([...near, ...crossed])].filter((code) => code !== unit)
}

/** The one other place of the same jar at the same time, with where its fellows lie. */
function otherPlace(plan: Plan, fellows: Fellowship, entry: AskedEntry): Surroundings['other'] {
  const moment = momentOf(plan, entry.moment)
  if (moment?.time === undefined) return undefined
  const others = momentsOf(plan).filter(({ id, time }) => time === moment.time && id !== entry.moment)
  const [other] = others
  if (others.length !== 1 || !other) return undefined
  const there = fellows.counted.find(
    ({ group, condition, repeat, moment: at }) =>
      group === entry.group && condition === entry.condition && repeat === entry.repeat && at === other.id,
  )
  const near = there && nearFor(plan, fellows, there)
  return there && near ? { place: other.place ?? '', value: there.value, near } : undefined
}

function isConverted(entered: string, unit: UnitCode): boolean {
  const read = readQuantity(entered, { unit })
  return read.ok && read.writtenUnit !== null && read.writtenUnit !== unit
}

const POINT_FACTORS = [10, 100, 1000]

function findSlip(
  value: number,
  near: { low: number; high: number },
  { sd, unit, units, other, empty, middle }: Surroundings,
): Slip | undefined {
  const fits = (changed: number) => distance(changed, near) <= SLIP_FITS_WITHIN * sd
  for (const read of units) {
    const changed = convert(value, read, unit)
    if (changed !== undefined && fits(changed)) return { code: 'slip-unit', suggested: withoutNoise(changed), unit: read, middle }
  }
  for (const factor of POINT_FACTORS.flatMap((each) => [each, 1 / each])) {
    if (fits(value * factor)) return { code: 'slip-point', suggested: withoutNoise(value * factor), factor, middle }
  }
  const turned = turnedRound(value).find(fits)
  if (turned !== undefined) return { code: 'slip-digits', suggested: turned, middle }
  const swaps = other && fits(other.value) && distance(value, other.near) <= SLIP_FITS_WITHIN * sd
  if (swaps) return { code: 'slip-swapped', place: other.place, middle }
  if (empty !== undefined && fits(value - empty))
    return { code: 'slip-empty', suggested: withoutNoise(value - empty), empty, middle }
  return undefined
}

/** The number with two neighbouring digits the other way round. `turnedRound(35) // [53]` */
function turnedRound(value: number): number[] {
  const written = String(withoutNoise(value))
  return [...written].flatMap((digit, place) => {
    const next = written[place + 1]
    if (next === undefined || digit === next || !/\d/.test(digit) || !/\d/.test(next)) return []
    return [Number(written.slice(0, place) + next + digit + written.slice(place + 2))]
  })
}

function valuesOf(readings: Reading[]): number[] {
  return readings.map(({ value }) => value)
}

function addTo<Value>(lists: Map<string, Value[]>, key: string, value: Value): void {
  const own = lists.get(key)
  if (own) own.push(value)
  else lists.set(key, [value])
}

function keyOf({ condition, moment }: { condition: string; moment: string }): string {
  return `${condition}/${moment}`
}

function middleOf(ascending: number[]): number | undefined {
  const half = Math.floor(ascending.length / 2)
  if (ascending.length === 0) return undefined
  return ascending.length % 2 === 1 ? ascending[half]! : (ascending[half - 1]! + ascending[half]!) / 2
}
