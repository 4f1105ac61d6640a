import { oncePerPair } from '../chance'
import { activeConditions, type Plan, type Reading } from '../lesson'
import { atMoment, emptyOf, momentOf, momentsOf, resultUnit, testOf, wayOf, kindOf, type ResolvedMethod } from '../test'
import { ASSUMED_SHARE, methodMeasuringSd, totalSd, trialSdOf } from '../measuring'
import { convert, onTheMark, readQuantity, unitOf, type UnitCode } from '../quantity'
import { FELLOWS_ENOUGH, fellowship, fellowsOf, keyOf, middleOf, rawFellowsOf, type Fellowship } from './fellowship'
import { countedReadings } from './readings'
import { checkEntry, nearest, ODD_SDS, type Doubt, type Near, type Surroundings } from './slips'

/** Where nobody has seen any wobble, a number has to lie so much further off before its digits are doubted. */
const UNSEEN = 2.5

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

/** What to ask about a reading, or about a number about to become one, among its fellows in the lesson. */
export function checkReading(whole: Plan, readings: Reading[], entry: AskedEntry): Doubt[] {
  const plan = atMoment(whole, entry.moment)
  const { method } = testOf(plan)
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
  const { method } = testOf(plan)
  if (!method) return []
  const fellows = fellowship(plan, readings)
  const active = new Set(activeConditions(plan).map(({ id }) => id))
  return asked
    .filter((reading) => active.has(reading.condition) && !liesAmong(plan, method, fellows, reading))
    .map((reading) => ({ reading, doubts: checkAmong(plan, method, fellows, reading) }))
    .filter(({ doubts }) => doubts.length > 0)
}

function checkAmong(plan: Plan, method: ResolvedMethod, fellows: Fellowship, entry: AskedEntry): Doubt[] {
  const value = convert(entry.value, entry.unit, method.unit)
  // A word or a place in an order cannot slip by a unit or a point.
  if (value === undefined || !wayOf(method).isAmount) return []
  const near = nearFor(plan, fellows, entry)
  return checkEntry(value, {
    unit: method.unit,
    resolution: method.resolution,
    near,
    middle: middleOf(rawFellowsOf(fellows, entry)) ?? (near ? nearest(value, near) : value),
    sd: sdFor(plan, method, fellows, entry),
    doubt: fellows.pooledSd === undefined ? UNSEEN : fellows.doubt,
    canBeOdd: fellows.pooledSd !== undefined && fellowsOf(fellows, entry).length >= FELLOWS_ENOUGH,
    units: unitsNear(plan, method, fellows),
    other: otherPlace(plan, fellows, entry),
    empty: / to /i.test(entry.entered) ? undefined : fellows.empty,
    converted: isConverted(entry.entered, method.unit),
    most: method.mostPossible[entry.condition],
  })
}

/** In the middle of its many fellows, to the mark and in the plan's unit, there is nothing to ask: the desk looks through all readings twice a second. */
function liesAmong(plan: Plan, method: ResolvedMethod, fellows: Fellowship, reading: Reading): boolean {
  const key = keyOf(reading)
  const own = fellows.values.get(key) ?? []
  if (reading.unit !== method.unit || reading.value < 0 || own.length <= FELLOWS_ENOUGH + 1) return false
  if (reading.value > (method.mostPossible[reading.condition] ?? Infinity)) return false
  const value = reading.value - (fellows.levels.get(reading.group) ?? 0)
  const half = Math.floor(own.length / 2)
  // Whichever one is left out, the middle lies among these.
  const middles = own.slice(half - 2, half + 2)
  const reach = ODD_SDS * Math.max(fellows.pooledSd ?? 0, fellows.ownSd.get(key) ?? 0)
  return middles.every((middle) => Math.abs(value - middle) <= reach) && onTheMark(reading.value, method.resolution)
}

/**
 * While there are few fellows, what the teacher expects of this condition is one of them; where only the lowest and the highest of all are expected, they are
 * gone by alone, with half their distance to spare on either side since they are a guess; and without either, what the class has read so far of anything.
 */
function nearFor(plan: Plan, fellows: Fellowship, entry: AskedEntry): Surroundings['near'] {
  const own = fellowsOf(fellows, entry)
  if (own.length >= FELLOWS_ENOUGH) return at(middleOf(own)!)
  const { method } = testOf(plan)
  // Tries at a better one are meant to go beyond what was expected.
  const once = momentsOf(plan).length === 1 && !kindOf(plan).improves
  // What is expected is what is in a container; what is read has the container with it.
  const empty = emptyOf(plan, entry)
  const known = once && empty !== undefined ? method : undefined
  const expected = known?.expected[entry.condition]
  if (expected !== undefined) return at(middleOf([...own, expected + empty!].sort((a, b) => a - b))!)
  const [low, high] = [known?.expectedLow ?? null, known?.expectedHigh ?? null]
  if (low !== null && high !== null) return { low: low + empty! - (high - low) / 2, high: high + empty! + (high - low) / 2 }
  if (own.length === 0) return ofTheSameThing(plan, fellows, entry)
  if (fellows.middleOfAll === undefined) return undefined
  return at(middleOf((own.length === 1 ? [...own, fellows.middleOfAll] : own).sort((a, b) => a - b))!)
}

/** A further try gives at most so many times what the one before gave, and at least a part of it like that. */
const MOST_GAINED = 3

/**
 * Before anybody else read anything like it: the other places of the same jar at the same time, of temperatures the time before, and of tries at a better one the group's
 * own try before.
 */
function ofTheSameThing(plan: Plan, { counted }: Fellowship, entry: AskedEntry): Near | undefined {
  const own = counted.filter(({ id, group }) => group === entry.group && id !== entry.id)
  if (kindOf(plan).improves) {
    const order = activeConditions(plan).map(({ id }) => id)
    const before = order.slice(0, order.indexOf(entry.condition))
    const last = own.findLast(({ condition }) => before.includes(condition))?.value
    return last === undefined ? undefined : { low: last / MOST_GAINED, high: last * MOST_GAINED }
  }
  const moment = momentOf(plan, entry.moment)
  if (moment?.time === undefined) return undefined
  const there = own.filter(({ condition, repeat }) => condition === entry.condition && repeat === entry.repeat)
  const timeOf = (reading: Reading) => momentOf(plan, reading.moment)?.time
  const beside = there.filter((one) => timeOf(one) === moment.time)
  const warm = unitOf(testOf(plan).unit).dimension === 'temperature'
  const earlier = warm ? there.filter((one) => (timeOf(one) ?? Infinity) < moment.time!) : []
  const nearby = beside.length > 0 ? beside : earlier.slice(-1)
  const values = nearby.map(({ value }) => value)
  return values.length === 0 ? undefined : { low: Math.min(...values), high: Math.max(...values) }
}

function at(value: number): Near {
  return { low: value, high: value }
}

/** The larger of what the plan expects and what the class shows; what was only assumed gives way to what is shown. */
function sdFor(plan: Plan, method: ResolvedMethod, { pooledSd, ownSd, middleOfAll }: Fellowship, entry: AskedEntry): number {
  const measuring = methodMeasuringSd(method) * (method.eachIs === 'shown' ? 1 : Math.SQRT2)
  // What is said of results in another unit says nothing of a reading.
  const said = resultUnit(plan) === method.unit ? method : { ...method, trialWobble: null, expectedLow: null, expectedHigh: null }
  const { sd, from } = trialSdOf(said, measuring, undefined)
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
function unitsNear(plan: Plan, { unit }: ResolvedMethod, { inches }: Fellowship): UnitCode[] {
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
