import {
  conditionName,
  letterOf,
  mostRepeats,
  type BoardViewName,
  type Measure,
  type Phase,
  type Plan,
  type Reading,
  type RemarkList,
  type Stop,
  type Method,
} from '../lesson'
import {
  atMoment,
  countsOf,
  everyMomentOf,
  measuredCards,
  momentOf,
  momentsOf,
  resultMark,
  resultUnit,
  testOf,
  resolved,
  WAYS_OF_READING,
} from '../test'
import { WAY_WORDS } from './ways'
import { INSTRUMENTS, type Instrument } from '../measuring'
import {
  asItWasRead,
  decimalsOf,
  isWord,
  roundToMark,
  sayFraction,
  unitOf,
  withUnit,
  writeFraction,
  writeNumber,
  writeQuantity,
  writeShort,
  type ResultUnit,
} from '../quantity'
import { countedName } from './counts'

/** What a lesson is called, one that nobody has named among them. `lessonName('') // 'Lesson without a name'` */
export function lessonName(title: string | undefined): string {
  return title || 'Lesson without a name'
}

export const STOP_NAMES: Record<Stop, string> = {
  wonder: 'Wonder',
  plan: 'Plan',
  kit: 'Kit',
  clock: 'Clock',
  predict: 'Predict',
  test: 'Test',
  results: 'Results',
  agree: 'Agree',
}

export const BOARD_WORDS: Record<BoardViewName, string> = {
  join: 'Joining',
  wonder: 'Noticed and wondered',
  question: 'The question',
  predict: 'Predictions',
  test: 'Testing',
  results: 'Results',
  agree: 'Conclusion',
}

export const PHASE_NAMES: Record<Phase, string> = {
  gather: 'Gather',
  wonder: 'Wonder',
  plan: 'Plan',
  predict: 'Predict',
  fetch: 'Fetch the kit',
  test: 'Testing',
  clearAway: 'Clear away',
  results: 'Results',
  agree: 'Agree',
}

export const WONDER_WORDS: Record<RemarkList, { name: string; what: string; example: string }> = {
  noticed: { name: 'Noticed', what: 'seen, heard or felt', example: 'the water climbs by itself' },
  maybe: { name: 'Maybe', what: 'a guess at why', example: 'maybe there are tiny pipes in it' },
  wondered: { name: 'Wondered', what: 'a question', example: 'does every paper do it?' },
}

/** "A kitchen roll" */
export function conditionWithLetter(plan: Plan, id: string): string {
  const known = plan.conditions.some((one) => one.id === id)
  return known ? `${letterOf(plan, id)} ${nameOfCondition(plan, id)}` : nameOfCondition(plan, id)
}

/** The bare name of a condition, or a word for one that is gone. One thing compared with itself goes by its moments. */
export function nameOfCondition(plan: Plan, id: string): string {
  const condition = plan.conditions.find((one) => one.id === id)
  if (condition) return conditionName(plan, condition)
  const moment = momentOf(plan, id) ?? momentsOf(plan).find(({ half }) => half === id)
  if (moment) return moment.half ?? whenWords(plan, moment.id)
  return 'a condition no longer in the plan'
}

/** When and where a trial is read. `momentWords(inTwoPlaces, 't5p1') // '5 min, top'` */
export function momentWords(plan: Plan, id: string): string {
  const moment = momentOf(plan, id)
  if (!moment) return id === '' ? '' : 'a time no longer in the plan'
  return [whenWords(plan, id), moment.place, nameOfMeasureAt(plan, id)].filter(Boolean).join(', ')
}

/** Which of several things a reading is of; empty where only one is measured. */
function nameOfMeasureAt(plan: Plan, moment: string): string {
  return measuredCards(plan).length < 2 ? '' : (testOf(atMoment(plan, moment)).measure?.name.trim() ?? '')
}

/** When a trial is read, wherever in it. `whenWords(inTwoPlaces, 't5p1') // '5 min'` */
export function whenWords(plan: Plan, id: string): string {
  const { half, time, name } = momentOf(plan, id) ?? {}
  if (half) return half
  if (name !== undefined) return name.trim() || 'a moment without a name'
  if (time === undefined) return ''
  return plan.watch.unit === 'day' ? `day ${writeShort(time)}` : withUnit(writeShort(time), 'min')
}

export function nameOfGroup(plan: Plan, id: string): string {
  const group = plan.groups.find((one) => one.id === id)
  // A child's page does not know what its classmates are called.
  return group ? group.name || 'another child' : 'a group no longer in the plan'
}

/** A reading with the digits that the instrument can show, or more where it was written with more. */
export function writeReading(plan: Plan, value: number, unit: ResultUnit): string {
  if (!Number.isFinite(value)) return notWithin(plan)
  if (isWord(unit)) return testOf(plan).words[value - 1] || `word ${writeShort(value)}`
  if (unit === 'place') return placeWords(value)
  const mark = markOf(plan, unit)
  return (
    writeFraction(value, unit, mark) ??
    writeQuantity(value, unit, Math.max(decimalsOf(mark), Math.min(MOST_DECIMALS, decimalsOf(value))))
  )
}

/** What stands in a cell of the class grid: the number that was read, with its unit where that is not the column's. `cellText(plan, { value: 12, unit: 'mm', entered: '12' }) // '12'` */
export function cellText(plan: Plan, reading: Pick<Reading, 'value' | 'unit' | 'entered'>): string {
  const { way, unit } = testOf(plan)
  if (!way.isAmount) return writeReading(plan, reading.value, reading.unit)
  const read = asItWasRead(reading.entered, reading)
  if (read) return withUnit(typable(writeNumber(read.value, decimalsOf(read.value))), read.unit)
  const number =
    sayFraction(reading.value, reading.unit, markOf(plan, reading.unit)) ?? writeNumber(reading.value, decimalsOf(reading.value))
  return typable(number) + (reading.unit === unit ? '' : ` ${reading.unit}`)
}

/** With a minus that stands on a keyboard. */
const typable = (number: string) => number.replace('−', '-')

/** A reading of the record, as the thing that it is of is written. */
export function readingWords(plan: Plan, { value, unit, moment }: Pick<Reading, 'value' | 'unit' | 'moment'>): string {
  return writeReading(atMoment(plan, moment), value, unit)
}

/** Nobody reads more digits than these; what has more was worked out. */
const MOST_DECIMALS = 3

/** What was not reached while anybody watched. `'not within 30\u202fmin'` */
export function notWithin({ watch }: Plan): string {
  return `not within ${withUnit(writeShort(Math.max(...watch.times)), watch.unit)}`
}

/** A time of watching at which something was there, or that it was not. `timeReached(sprouts, 2) // '2\u202fdays'` */
export function timeReached(plan: Plan, time: number): string {
  return Number.isFinite(time) ? withUnit(writeShort(time), plan.watch.unit) : notWithin(plan)
}

/** The smallest step of what is written in this unit: the instrument's mark, or that of what counts. `markOf(soakUpPlan(), 'mm') // 1` */
export function markOf(plan: Plan, unit: ResultUnit): number {
  if (unit === 'of-100') return resultMark(plan, 'of-100')
  if (unit.includes('/')) return resultMark(plan, 'rate')
  const { method } = testOf(plan)
  return countsOf(plan) === 'until' && unit !== method?.unit ? resultMark(plan) : (method?.resolution ?? 1)
}

/** `placeWords(1) // '1st'`, `placeWords(2.5) // 'shared 2.5'` */
function placeWords(value: number): string {
  if (!Number.isInteger(value)) return `shared ${writeShort(value)}`
  return `${value}${['th', 'st', 'nd', 'rd'][value % 100 > 10 && value % 100 < 14 ? 0 : value % 10] ?? 'th'}`
}

/** A digit that is worth a twentieth of a hand's wobble says nothing any more. */
const HAND_SHOWS = 20

/** Digits behind the point that an average is worth: one more than the instrument shows, and no finer than the hand that stops the clock. */
function averageDecimals(plan: Plan, unit: ResultUnit): number {
  const finest = decimalsOf(markOf(plan, unit)) + 1
  const { method } = testOf(plan)
  const hand = method && unit === method.unit && unitOf(unit).dimension === 'time' ? method.timingWobble / method.atOnce : 0
  return hand > 0 ? Math.max(0, Math.min(finest, Math.floor(Math.log10(HAND_SHOWS / hand)))) : finest
}

/** The nearest mark of a scale in halves or quarters; a difference of less than a mark is none of them, and not nothing. */
export function writeRounded(value: number, unit: ResultUnit, mark: number): string | undefined {
  return value === 0 || Math.abs(value) >= mark ? writeFraction(roundToMark(value, mark), unit, mark) : undefined
}

/** An average, as fine as it is worth; of ordered words the word nearest to it. */
export function writeAverage(plan: Plan, value: number, unit: ResultUnit): string {
  if (!Number.isFinite(value)) return notWithin(plan)
  // The middle of some times of reading is one of them, or halfway between two.
  if (countsOf(plan) === 'until' && unit === resultUnit(plan)) return withUnit(writeShort(value), unit)
  if (isWord(unit)) return `${testOf(plan).way.turnsInto ? 'about ' : ''}“${writeReading(plan, Math.round(value), unit)}”`
  if (unit === 'place') return `place ${writeNumber(value, 1)}`
  // Of a scale in quarters an average is worth half a mark more: eighths.
  const half = markOf(plan, unit) / 2
  return writeRounded(value, unit, half) ?? writeQuantity(value, unit, averageDecimals(plan, unit))
}

/** With what something is measured, and how finely. `methodWords(plan.measures[0]!.method) // 'ruler, to the nearest mm'` */
export function methodWords(method: Method): string {
  return WAY_WORDS[method.way].method(resolved(method))
}

/** How something is measured, for the middle of a sentence. `measuredWith(plan.measures[0]!.method) // 'with a ruler, to the nearest mm'` */
export function measuredWith(method: Method): string {
  return WAY_WORDS[method.way].measured(resolved(method))
}

/** Headings of one condition's readings: every repeat at every moment. `['1', '2', '3']`, `['1: before', '1: after', …]` */
export function readingHeadings(plan: Plan): string[] {
  return readingPlaces(plan).map(({ text }) => text)
}

/** The same with the repeat that each stands over, and the sign of its unit. */
export function readingPlaces(plan: Plan): { text: string; repeat: number; unit: string }[] {
  const repeats = Array.from({ length: mostRepeats(plan) }, (_, place) => place + 1)
  const units = unitsOfTrial(plan)
  return repeats.flatMap((repeat) =>
    readingHeading(plan, String(repeat)).map((text, place) => ({ text, repeat, unit: units[place]! })),
  )
}

/** The signs of the units in which one trial is read, moment by moment. `unitsOfTrial(plan) // ['mm']` */
export function unitsOfTrial(plan: Plan): string[] {
  return everyMomentOf(plan).map(({ id }) => unitOf(testOf(atMoment(plan, id)).unit).symbol)
}

/** Headings of one trial, at every moment. `readingHeading(plan, 'practice') // ['practice']` */
export function readingHeading(plan: Plan, trial: string): string[] {
  return everyMomentOf(plan).map(({ id }) => {
    const when = [whenWords(plan, id), momentOf(plan, id)?.place, measureSign(plan, id)].filter(Boolean).join(', ')
    if (when === '') return trial
    return plan.repeats === 1 && trial === '1' ? when : `${trial}: ${when}`
  })
}

/** How a column says of which measure it is: by its unit where no other has it, else by its name; nothing where there is one. */
function measureSign(plan: Plan, moment: string): string {
  const cards = measuredCards(plan)
  const own = testOf(atMoment(plan, moment)).measure
  if (cards.length < 2 || !own) return ''
  const symbol = ({ method }: Measure) => unitOf(resolved(method).unit).symbol
  return symbol(own) !== '' && cards.every((one) => one.id === own.id || symbol(one) !== symbol(own))
    ? symbol(own)
    : own.name.trim()
}

/** What the signs of several measures stand for. `measureKey(plan) // ''` */
export function measureKey(plan: Plan): string {
  const cards = measuredCards(plan)
  if (cards.length < 2) return ''
  return cards.map(({ name, method }) => `${name.trim() || 'no name yet'}: ${methodWords(method)}`).join('; ')
}

/** What a group works out in the last column of its sheet; empty where there is nothing to work out. `'average'` */
export function workedOutColumn(plan: Plan): string {
  const { kind, way } = testOf(plan)
  if (kind.improves) return 'what we changed'
  if (measuredCards(plan).length > 1) return ''
  if (kind.readsTwice) return countedName(plan, countsOf(plan)).toLowerCase()
  return kind.watches || !way.isAmount ? '' : 'average'
}

/** How an instrument is offered. `'ruler (mm)'` */
export function instrumentWords({ reads, tool, unit }: Instrument): string {
  return WAYS_OF_READING[reads].isAmount ? `${tool} (${unitOf(unit).symbol || 'a count'})` : tool || WAY_WORDS[reads].name
}

/** An instrument by its code, for the middle of a sentence. `instrumentNamed('stopwatch-child') // 'stopwatch, in a child’s hand (s)'` */
export function instrumentNamed(code: string): string {
  const instrument = INSTRUMENTS.find((one) => one.code === code)
  return instrument ? instrumentWords(instrument) : 'another instrument'
}

/** Names in a row: `list(['A', 'B', 'C']) // 'A, B and C'` */
export function list(names: string[]): string {
  return names.length < 2 ? (names[0] ?? '') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`
}

/** `counted(1, 'group') // '1 group'`, `counted(3, 'group') // '3 groups'` */
export function counted(count: number, one: string, many = `${one}s`): string {
  return `${count} ${count === 1 ? one : many}`
}

/** A share in words that children hear: `chanceWords(0.87) // '87 in 100'` */
export function chanceWords(chance: number): string {
  return chance >= 0.995 ? 'nearly 100 in 100' : `${Math.round(chance * 100)} in 100`
}

/** A class in one line: `classWords(plan) // 'Class Puffin, 26 children in 7 groups'` */
export function classWords({
  className,
  children,
  each,
  groups,
}: Pick<Plan, 'className' | 'children' | 'each' | 'groups'>): string {
  if (each === 'child') return `Class ${className}, ${counted(groups.length, 'child', 'children')}, each with a record of its own`
  return `Class ${className}, ${counted(children, 'child', 'children')} in ${counted(groups.length, 'group')}`
}

/** How the class is split: `sizesWords([{ seats: 4 }, { seats: 3 }, { seats: 4 }]) // '2 of 4 and 1 of 3'` */
export function sizesWords(groups: { seats: number }[]): string {
  const seats = groups.map((group) => group.seats)
  const different = [...new Set(seats)].sort((a, b) => b - a)
  return list(different.map((size) => `${seats.filter((one) => one === size).length} of ${size}`))
}

/** `'83 of 100'`; what is rare is not rounded away. */
export function ofHundred(share: number): string {
  const rounded = Math.round(share * 100)
  if (rounded === 0 && share > 0) return 'fewer than 1 of 100'
  return rounded === 100 && share < 1 ? 'nearly all' : `${rounded} of 100`
}
