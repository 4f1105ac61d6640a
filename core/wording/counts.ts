import { unreachable } from '../unreachable'
import { onAverageWords, type SaidAverages } from './averages'
import { EACH_IS, type Plan } from '../lesson'
import {
  canBeNothing,
  canWeighEmpty,
  countedPlace,
  countedUntil,
  countsOf,
  isBySize,
  momentsOf,
  watchedPlaces,
  testOf,
  kindOf,
  type Counted,
  type Moment,
  type ResolvedMethod,
} from '../test'
import { WAY_WORDS } from './ways'
import { decimalsOf, roundToMark, unitOf, withUnit, writeNumber, writeQuantity, writeShort, type Dimension } from '../quantity'

/**
 * What counts, as a heading.
 * @example countedName(soakUpPlan(), 'loss') // => 'Lost'
 */
export function countedName(plan: Plan, counted: Counted): string {
  switch (counted) {
    case 'reading':
      return 'Reading'
    case 'last':
      return 'Last reading'
    case 'change':
      return 'Change'
    case 'loss':
      return 'Lost'
    case 'of-100':
      return 'Lost, of 100'
    case 'rate':
      return plan.watch.unit === 'day' ? 'Each day' : 'Each minute'
    case 'total':
      return 'Total of all times'
    case 'average':
      return 'Average of all times'
    case 'highest':
      return 'Highest'
    case 'until':
      return `Time until ${untilWords(plan)}`
    default:
      return unreachable(counted)
  }
}

/** What has to be reached: `'wet'`, `'30\u202f°C'`; three dots while nobody has said it. */
function untilWords(plan: Plan): string {
  const until = countedUntil(plan)
  const { method, way } = testOf(plan)
  if (until === undefined || !method) return '…'
  return way.fromWords ? method.words[until - 1] || '…' : withUnit(writeShort(until), method.unit)
}

/** Which place counts, or that the difference does: `'top less bottom'`; empty where there is one place. */
export function countedPlaceWords(plan: Plan): string {
  const place = countedPlace(plan)
  const places = watchedPlaces(plan)
  if (place === undefined) return ''
  return place === 'apart' ? `${places[0]} less ${places.at(-1)}` : places[place]!
}

/**
 * What speaks for a trial, in a few words; empty where that is its one reading.
 * @example countsWords(soakUpPlan()) // => ''
 */
export function countsWords(plan: Plan): string {
  const counted = countsOf(plan)
  const { method } = testOf(plan)
  const contents = method?.weighsEmpty && canWeighEmpty(plan) ? 'contents only' : ''
  const figure = counted === 'reading' ? EACH_WORDS[method?.eachIs ?? 'shown'].short : countedName(plan, counted).toLowerCase()
  return [figure, countedPlaceWords(plan), contents, isBySize(plan) ? 'by size' : ''].filter(Boolean).join(', ')
}

/** The places of a jar as choices; the difference of words is nothing that anybody could read. */
export function placeChoices(plan: Plan): { value: number | null; title: string }[] {
  const places = watchedPlaces(plan)
  const byNumber = testOf(plan).way.isAmount
  const apart = { value: null, title: `the difference: ${places[0]} less ${places.at(-1)}` }
  return [...(byNumber && countsOf(plan) !== 'until' ? [apart] : []), ...places.map((title, value) => ({ value, title }))]
}

/** What is measured with what counts of it, for a heading or an axis. `resultName(soakUpPlan()) // 'how high water climbs in 60 s'` */
export function resultName(plan: Plan): string {
  return [testOf(plan).measure?.name ?? '', countsWords(plan)].filter(Boolean).join(': ')
}

const EACH_WORDS: Record<ResolvedMethod['eachIs'], { short: string; title: string; hint: string }> = {
  shown: { short: '', title: 'what we read', hint: 'the number as the instrument shows it' },
  risen: { short: 'finish less start', title: 'finish less start', hint: 'what was added, gained or risen' },
  used: { short: 'used', title: 'start less what is left', hint: 'what was used, lost or taken away' },
}

/** The choices of what one number is. */
export function eachIsChoices(): { value: ResolvedMethod['eachIs']; title: string; hint: string }[] {
  return EACH_IS.map((value) => ({ value, ...EACH_WORDS[value] }))
}

/**
 * The choice of a figure as it is offered, with numbers that this plan could have.
 * @example countedChoice(sprouts, 'loss').hint // => 'day 0 65\u202fmm, day 9 20\u202fmm: lost 45\u202fmm'
 */
export function countedChoice(plan: Plan, counted: Counted): { title: string; hint: string } {
  return { title: CHOICE_TITLES[counted](plan), hint: countedExample(plan, counted) }
}

const CHOICE_TITLES: Record<Counted, (plan: Plan) => string> = {
  reading: () => 'the reading',
  last: () => 'the last reading',
  change: (plan) => (kindOf(plan).readsTwice ? 'the change: after less before' : 'the change: last less first'),
  loss: (plan) => (kindOf(plan).readsTwice ? 'what was lost or used: before less after' : 'what was lost or used: first less last'),
  'of-100': () => 'lost or used, of 100',
  rate: ({ watch }) => (watch.unit === 'day' ? 'so much a day' : 'so much a minute'),
  total: () => 'the total of all times',
  average: () => 'the average of all times',
  highest: () => 'the highest',
  until: (plan) => WAY_WORDS[testOf(plan).way.code].until,
}

/** What counts with numbers that this plan could have, so that nobody has to imagine them. */
function countedExample(plan: Plan, counted: Counted): string {
  const { method, way, kind } = testOf(plan)
  if (!method) return ''
  const [first, last] = kind.readsTwice ? ['before', 'after'] : endsOfWatching(plan)
  if (way.fromWords) return wordsExample(plan, counted, method)
  const { high, low } = exampleNumbers(method)
  const write = (value: number) => writeQuantity(value, method.unit, decimalsOf(method.resolution))
  const falls = counted === 'loss' || counted === 'of-100'
  const [start, end] = falls ? [high, low] : [low, high]
  const readings = `${first} ${write(start)}, ${last} ${write(end)}`
  switch (counted) {
    case 'reading':
      return eachExample(plan)
    case 'last':
      return `${readings}: ${write(end)}`
    case 'change':
      return `${readings}: +${write(end - start)}`
    case 'loss':
      return `${readings}: lost ${write(start - end)}`
    case 'of-100':
      return `${readings}: lost ${Math.round(((start - end) / start) * 100)} of 100`
    case 'rate': {
      const span = Math.max(...plan.watch.times) - Math.min(...plan.watch.times)
      return `${readings}: ${writeNumber((end - start) / span, 1)} ${unitOf(`${method.unit}/${plan.watch.unit}`).symbol}`.trim()
    }
    case 'total':
      return `${write(low)} and ${write(high)}: ${write(low + high)}`
    case 'average':
      return `${write(low)} and ${write(high)}: ${write(roundToMark((low + high) / 2, method.resolution))}`
    case 'highest':
      return `${write(low)} and ${write(high)}: ${write(high)}`
    case 'until':
      return `first ${untilWords(plan) === '…' ? write(high) : untilWords(plan)} at ${last}: ${withUnit(writeShort(Math.max(...plan.watch.times)), plan.watch.unit)}`
    default:
      return unreachable(counted)
  }
}

/** What one number is, with numbers that this plan could have. `'start 300 mL, left 240 mL: used 60 mL'` */
export function eachExample(plan: Plan): string {
  const { amount: method } = testOf(plan)
  if (!method) return ''
  const { high, low } = exampleNumbers(method)
  const write = (value: number) => writeQuantity(value, method.unit, decimalsOf(method.resolution))
  if (method.eachIs === 'used') return `start ${write(high)}, left ${write(low)}: used ${write(high - low)}`
  return method.eachIs === 'risen' ? `start ${write(low)}, finish ${write(high)}: ${write(high - low)}` : ''
}

function wordsExample(plan: Plan, counted: Counted, { words }: ResolvedMethod): string {
  const [, later] = endsOfWatching(plan)
  const word = counted === 'until' ? untilWords(plan) : (words.at(-1) ?? '…')
  const time = withUnit(writeShort(Math.max(...plan.watch.times)), plan.watch.unit)
  return counted === 'until' ? `first “${word}” at ${later}: ${time}` : `${later} “${word}”`
}

function endsOfWatching(plan: Plan): [string, string] {
  const when = ({ time = 0, name }: Moment) =>
    name ?? (plan.watch.unit === 'day' ? `day ${writeShort(time)}` : withUnit(writeShort(time), 'min'))
  const moments = momentsOf(plan)
  return [when(moments[0]!), when(moments.at(-1)!)]
}

/** Two numbers that this instrument could show: what the teacher expects, else so many of its marks. */
function exampleNumbers({ expectedHigh, expectedLow, resolution }: ResolvedMethod): { high: number; low: number } {
  if (expectedHigh !== null && expectedLow !== null && expectedLow > 0 && expectedHigh > expectedLow)
    return { high: expectedHigh, low: expectedLow }
  return { high: 300 * resolution, low: 240 * resolution }
}

/**
 * Two conditions with what they came to, as a class says it of this figure.
 * @example twoFigures(soakUpPlan(), ['card', '14.8 mm'], ['felt', '20.1 mm']) // => 'card averaged 14.8 mm and felt 20.1 mm'
 */
export function twoFigures(
  plan: Plan,
  [one, ofOne]: [string, string],
  [other, ofOther]: [string, string],
  way: SaidAverages['way'] = 'mean',
): string {
  const verb = VERBS[countsOf(plan)]
  const apart = canBeNothing(plan) && countedPlace(plan) === 'apart'
  if (apart && isBySize(plan))
    return `${one} differed by ${ofOne} and ${other} by ${ofOther}, ${countedPlaceWords(plan)} or the other way round`
  if (apart) return `for ${one} ${placeAheadWords(plan, ofOne)}, and for ${other} ${placeAheadWords(plan, ofOther)}`
  if (!verb && way === 'mean') return `${one} averaged ${ofOne} and ${other} ${ofOther}`
  if (!verb) return `${one} came to ${ofOne} and ${other} to ${ofOther}, ${onAverageWords(way)}`
  const said = (figure: string) =>
    figure.startsWith('not ') ? figure.replace('not', `was not ${untilWords(plan)}`) : `${verb} ${figure}`
  return `${one} ${said(ofOne)} and ${other} ${said(ofOther)}${countsOf(plan) === 'until' ? '' : `, ${onAverageWords(way)}`}`
}

/** How one place is more than another, by what is measured. */
const AHEAD: Partial<Record<Dimension, string>> = { temperature: 'warmer', mass: 'heavier', sound: 'louder', force: 'stronger' }

/** Which of two places was ahead, and by how much. `'the floor was warmer by 1.4\u202f°C'` */
function placeAheadWords(plan: Plan, figure: string): string {
  const [first, last] = [watchedPlaces(plan)[0]!, watchedPlaces(plan).at(-1)!].map((place) => place.trim().replace(/^the /i, ''))
  const size = figure.replace(/^[−-]/, '')
  if (!/[1-9]/.test(size)) return `${first} and ${last} were level`
  const ahead = AHEAD[unitOf(testOf(plan).unit).dimension]
  const place = size === figure ? first : last
  return ahead ? `the ${place} was ${ahead} by ${size}` : `${size} in favour of the ${place}`
}

/** How a condition came to its figure; the others average. */
const VERBS: Partial<Record<Counted, string>> = {
  change: 'changed by',
  loss: 'lost',
  'of-100': 'lost',
  rate: 'changed by',
  total: 'came in all to',
  highest: 'reached',
  until: 'took',
}
