import { bestFirst, type Evidence, type Grade } from '../evidence'
import { bestOf, measuredCard, type Best, type Plan } from '../lesson'
import { unitOf, withUnit, writeShort, type Dimension } from '../quantity'
import { nameOfCondition } from './names'
import { writeFigure } from './tables'

interface Ends {
  most: string
  least: string
}

const BY_DIMENSION: Partial<Record<Dimension, Ends>> = {
  time: { most: 'longest', least: 'shortest' },
  temperature: { most: 'warmest', least: 'coldest' },
  mass: { most: 'heaviest', least: 'lightest' },
  sound: { most: 'loudest', least: 'quietest' },
  force: { most: 'strongest', least: 'weakest' },
  length: { most: 'longest', least: 'shortest' },
  number: { most: 'most', least: 'fewest' },
  order: { most: 'first', least: 'last' },
}
/** A length goes by what its card says of it. */
const BY_NAME: [RegExp, Ends][] = [
  [/\b(?:how high|height|climbs?|bounces?)\b/i, { most: 'highest', least: 'lowest' }],
  [/\b(?:how tall)\b/i, { most: 'tallest', least: 'shortest' }],
  [/\b(?:how far|distance)\b/i, { most: 'furthest', least: 'nearest' }],
  [/\b(?:how deep|depth)\b/i, { most: 'deepest', least: 'shallowest' }],
]

/**
 * What the two ends of the measured thing are called. A change has more and less, whatever it is a change of.
 * @example endsOf(soakUpPlan()) // => { most: 'highest', least: 'lowest' }
 */
export function endsOf(plan: Plan): Ends {
  const measure = measuredCard(plan)
  const usual = { most: 'most', least: 'least' }
  if (!measure || plan.kind === 'before-after') return usual
  const { dimension } = unitOf(measure.method.unit)
  const named = dimension === 'length' ? BY_NAME.find(([words]) => words.test(measure.name))?.[1] : undefined
  return named ?? BY_DIMENSION[dimension] ?? usual
}

/** The choices of what is best, in the words of what is measured. `bestChoices(plan)[1].title // 'the lowest'` */
export function bestChoices(plan: Plan): { value: Best; title: string }[] {
  const { most, least } = endsOf(plan)
  return [
    { value: 'most', title: `the ${most}` },
    { value: 'least', title: `the ${least}` },
    ...(measuredCard(plan)?.method.instrument === 'number' ? [{ value: 'nearest' as const, title: 'nearest to a number' }] : []),
    { value: 'none', title: 'none: they only differ' },
  ]
}

/** What is best, in a few words. `'the highest is best'`; empty where nothing is. */
export function bestIs(plan: Plan): string {
  const best = bestOf(plan)
  const method = measuredCard(plan)?.method
  if (best === 'none' || !method) return ''
  if (best !== 'nearest') return `the ${endsOf(plan)[best]} is best`
  return method.bestNumber === null ? '' : `nearest to ${withUnit(writeShort(method.bestNumber), method.unit)} is best`
}

/**
 * A condition at one end: it came first where that is best, else it had the most of it.
 * @example endWordsOf(soakUpPlan(), 'most') // => 'came first'
 */
export function endWordsOf(plan: Plan, end: 'most' | 'least'): string {
  const best = bestOf(plan)
  const places = measuredCard(plan)?.method.unit === 'place'
  if (best === 'most' || (places && best !== 'least')) return end === 'most' ? 'came first' : 'came last'
  if (best === 'least') return end === 'least' ? 'came first' : 'came last'
  return `had the ${endsOf(plan)[end]}`
}

const PLACES = ['1st', '2nd', '3rd']

/**
 * Who stands on the podium, each with its average; empty where nothing is best, or where two that follow each other cannot be told apart.
 * @example podiumOf(soakUpPlan(), evidence)[0] // => '1st kitchen roll, 60.8\u202fmm'
 */
export function podiumOf(plan: Plan, evidence: Evidence): string[] {
  const ranked = bestFirst(plan, evidence)?.slice(0, PLACES.length) ?? []
  const told = ranked.slice(1).every((id, place) => gradeOfPair(evidence, ranked[place]!, id) === 'clear')
  const unit = measuredCard(plan)?.method.unit
  if (ranked.length < 2 || !told || !unit || evidence.grade !== 'clear') return []
  return ranked.map((id, place) => {
    const found = evidence.summaries.find(({ condition }) => condition === id)
    const figure = !found || unit === 'place' ? '' : `, ${writeFigure(plan, found.evened, unit)}`
    return `${PLACES[place]} ${nameOfCondition(plan, id)}${figure}`
  })
}

function gradeOfPair({ pairs, neighbours, grade }: Evidence, a: string, b: string): Grade {
  const both = [a, b]
  const pair = pairs.find((one) => both.includes(one.a) && both.includes(one.b))
  return (pair ?? neighbours.find(({ more, less }) => both.includes(more) && both.includes(less)))?.grade ?? grade
}
