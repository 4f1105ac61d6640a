import { podium, type Evidence } from '../evidence'
import { saidAverages } from './averages'
import { type Plan } from '../lesson'
import {
  comparesMoments,
  bestOf,
  canBeNothing,
  countedPlace,
  countsOf,
  isBySize,
  resultUnit,
  testOf,
  type Best,
  type Counted,
} from '../test'
import { unitOf, withUnit, writeShort, type Dimension } from '../quantity'
import { countedChoice, countsWords } from './counts'
import { nameOfCondition } from './names'
import { writeFigure } from './tables'

interface Ends {
  most: string
  least: string
}

const USUAL: Ends = { most: 'highest', least: 'lowest' }
const BY_DIMENSION: Partial<Record<Dimension, Ends>> = {
  time: { most: 'longest', least: 'shortest' },
  temperature: { most: 'warmest', least: 'coldest' },
  mass: { most: 'heaviest', least: 'lightest' },
  sound: { most: 'loudest', least: 'quietest' },
  force: { most: 'strongest', least: 'weakest' },
  length: { most: 'longest', least: 'shortest' },
  order: { most: 'first', least: 'last' },
}
/** What a trial comes to has ends of its own, whatever it is a change or a sum of. */
const BY_FIGURE: Partial<Record<Counted, Ends>> = {
  change: { most: 'highest change', least: 'lowest change' },
  loss: { most: 'biggest loss', least: 'smallest loss' },
  'of-100': { most: 'biggest loss', least: 'smallest loss' },
  rate: { most: 'highest rate', least: 'lowest rate' },
  total: { most: 'biggest total', least: 'smallest total' },
  average: { most: 'highest average', least: 'lowest average' },
  until: { most: 'slowest', least: 'quickest' },
}

/** Are the ends something that a condition has, and not what it is: a loss, a change, a total. */
export function hasEnds(plan: Plan): boolean {
  return (BY_FIGURE[countsOf(plan)] !== undefined && countsOf(plan) !== 'until') || countedPlace(plan) === 'apart'
}

/** A length goes by what its card says of it. */
const BY_NAME: [RegExp, Ends][] = [
  [/\b(?:how high|height|climbs?|bounces?)\b/i, USUAL],
  [/\b(?:how tall)\b/i, { most: 'tallest', least: 'shortest' }],
  [/\b(?:how far|distance)\b/i, { most: 'furthest', least: 'nearest' }],
  [/\b(?:how deep|depth)\b/i, { most: 'deepest', least: 'shallowest' }],
]

/**
 * What the two ends of the results are called. Numbers of things are high and low; a change, a loss or a total is what it is, whatever it is of: a change of
 * −5 g is higher than one of −7 g.
 * @example endsOf(soakUpPlan()) // => { most: 'highest', least: 'lowest' }
 */
export function endsOf(plan: Plan): Ends {
  const measure = testOf(plan).measure
  if (!measure) return USUAL
  if (countedPlace(plan) === 'apart' && canBeNothing(plan)) return sized(plan, 'difference')
  if (isBySize(plan) && countsOf(plan) === 'change') return sized(plan, 'change')
  const ofFigure = BY_FIGURE[countsOf(plan)]
  if (ofFigure) return ofFigure
  const { dimension } = unitOf(testOf(plan).unit)
  const named = dimension === 'length' ? BY_NAME.find(([words]) => words.test(measure.name))?.[1] : undefined
  return named ?? BY_DIMENSION[dimension] ?? USUAL
}

/** A difference of −3 is bigger than one of 1, and lower. */
function sized(plan: Plan, what: string): Ends {
  return isBySize(plan)
    ? { most: `biggest ${what}`, least: `smallest ${what}` }
    : { most: `highest ${what}`, least: `lowest ${what}` }
}

/** The choices of what is best, in the words of what is measured. `bestChoices(plan)[1].title // 'the lowest'` */
export function bestChoices(plan: Plan): { value: Best; title: string }[] {
  const { most, least } = endsOf(plan)
  return [
    { value: 'most', title: `the ${most}` },
    { value: 'least', title: `the ${least}` },
    ...(testOf(plan).way.isAmount ? [{ value: 'nearest' as const, title: 'nearest to a number' }] : []),
    { value: 'none', title: 'none: they only differ' },
  ]
}

/** What is best, in a few words. `'the highest is best'`; empty where nothing is. */
export function bestIs(plan: Plan): string {
  const best = bestOf(plan)
  const { method } = testOf(plan)
  if (best === 'none' || !method) return ''
  if (best !== 'nearest') return `the ${endsOf(plan)[best]} is best`
  return method.bestNumber === null ? '' : `nearest to ${withUnit(writeShort(method.bestNumber), resultUnit(plan))} is best`
}

/** Are both ends called first and last: because the most is best, or because places were read. */
function saysFirst(plan: Plan): boolean {
  const best = bestOf(plan)
  return best === 'most' || (best !== 'least' && resultUnit(plan) === 'place')
}

/**
 * A condition at the upper end, in the past: it came first where that is best, else it was the longest, highest, most.
 * @example cameWords(soakUpPlan()) // => 'came first'
 */
export function cameWords(plan: Plan): string {
  return saysFirst(plan) ? 'came first' : `${hasEnds(plan) ? 'had' : 'was'} the ${endsOf(plan).most}`
}

/** The same of what will be. `comesWords(soakUpPlan()) // 'comes first'` */
export function comesWords(plan: Plan): string {
  return saysFirst(plan) ? 'comes first' : `${hasEnds(plan) ? 'has' : 'is'} the ${endsOf(plan).most}`
}

/** What groups did with the condition at the upper end. `putWords(soakUpPlan(), 'card') // 'put card first'` */
export function putWords(plan: Plan, name: string): string {
  if (saysFirst(plan)) return `put ${name} first`
  return hasEnds(plan) ? `found the ${endsOf(plan).most} with ${name}` : `found ${name} the ${endsOf(plan).most}`
}

const PLACES = ['1st', '2nd', '3rd']

/**
 * Who stands on the podium, each with its average; empty where nobody can be put there.
 * @example podiumLines(soakUpPlan(), evidence)[0] // => '1st kitchen roll, 60.8\u202fmm'
 */
export function podiumLines(plan: Plan, evidence: Evidence): string[] {
  const unit = resultUnit(plan)
  const averages = saidAverages(plan, evidence)
  return podium(plan, evidence).map((id, place) => {
    const value = averages.of(id)
    const figure = value === undefined || unit === 'place' ? '' : `, ${writeFigure(plan, value, unit)}`
    return `${PLACES[place]} ${nameOfCondition(plan, id)}${figure}`
  })
}

/** What counts and what is best, in one line; with numbers that this plan could have where asked. */
export function countsLine(plan: Plan, { example = false } = {}): string {
  // Moments are compared with each other, and no figure of them all counts.
  if (comparesMoments(plan)) return bestIs(plan)
  const counts = countsWords(plan)
  const { hint } = countedChoice(plan, countsOf(plan))
  if (!example) return [counts || 'the reading', bestIs(plan)].filter(Boolean).join('; ')
  return [counts && `counts: ${counts}${hint && ` (${hint})`}`, bestIs(plan)].filter(Boolean).join('; ')
}
