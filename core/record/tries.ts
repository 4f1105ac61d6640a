import { mean } from 'simple-statistics'
import { activeConditions, mainWords, type Improvement, type LessonRecord, type Plan } from '../lesson'
import { bestNumberOf, bestOf, kindOf } from '../test'
import { withoutNoise } from '../quantity'
import { trialResults } from './results'

/** One try of a group at a better one. */
export interface Try {
  condition: string
  /** What was changed for it and why, as it was said before. */
  change: Improvement | undefined
  /** Average of what it came to; undefined until it was tested. */
  result: number | undefined
  /** How much better than the best before it; less than nothing where it was worse, undefined for the first. */
  gain: number | undefined
  /** The best of all tries so far. */
  best: boolean
  /** The latest picture of it. */
  picture: string | undefined
}

/** A change with what it brought. */
export interface ChangeMade {
  group: string
  condition: string
  what: string
  gain: number
}

/**
 * The tries of one group in their order, with what each gained on the best before it. Until somebody said what is best none is, and nothing is gained.
 * @example triesOf(plan, record, 'g1').map(({ best }) => best) // => [true, false, false, false]
 */
export function triesOf(plan: Plan, record: LessonRecord, group: string): Try[] {
  const results = trialResults(plan, record.readings).filter((one) => one.group === group && Number.isFinite(one.value))
  const worth = worthOf(plan)
  let bestSoFar: number | undefined
  const tries = activeConditions(plan).map(({ id }): Try => {
    const own = results.filter(({ condition }) => condition === id).map(({ value }) => value)
    const result = own.length === 0 ? undefined : withoutNoise(mean(own))
    const gain =
      !worth || result === undefined || bestSoFar === undefined ? undefined : withoutNoise(worth(result) - worth(bestSoFar))
    if (worth && result !== undefined && (bestSoFar === undefined || worth(result) > worth(bestSoFar))) bestSoFar = result
    return {
      condition: id,
      change: record.improvements.findLast((one) => one.group === group && one.condition === id),
      result,
      gain,
      best: false,
      picture:
        record.observations.findLast((one) => one.group === group && one.condition === id && one.picture !== null)?.picture ??
        undefined,
    }
  })
  return tries.map((one) => ({ ...one, best: bestSoFar !== undefined && one.result === bestSoFar }))
}

/** How good a result is, where somebody said what is best: more of it, less, or nearer to a number. */
function worthOf(plan: Plan): ((result: number) => number) | undefined {
  const number = bestNumberOf(plan)
  switch (bestOf(plan)) {
    case 'most':
      return (result) => result
    case 'least':
      return (result) => -result
    case 'nearest':
      return number === undefined ? undefined : (result) => -Math.abs(result - number)
    case 'none':
      return undefined
  }
}

/**
 * What was changed and why, as a teacher keys it in from a sheet.
 * @example readChange('folded twice, because it is stiffer') // => { what: 'folded twice', why: 'it is stiffer' }
 */
export function readChange(text: string): { what: string; why: string } {
  const [what = '', ...why] = text.split(/,?\s*\bbecause\b\s*/i)
  return { what: what.trim(), why: why.join(' because ').trim() }
}

/** Every change of the class with what it brought, the most helpful first. */
export function changesMade(plan: Plan, record: LessonRecord): ChangeMade[] {
  return plan.groups
    .flatMap(({ id: group }) =>
      triesOf(plan, record, group).flatMap(({ condition, change, gain }) =>
        change && gain !== undefined ? [{ group, condition, what: change.what, gain }] : [],
      ),
    )
    .sort((a, b) => b.gain - a.gain)
}

/**
 * What several changes have in common by their words, and how often it helped: the most often used first.
 * @example wordsThatHelped([]) // => []
 */
export function wordsThatHelped(changes: ChangeMade[]): { word: string; helped: number; of: number }[] {
  const words = new Map<string, ChangeMade[]>()
  for (const change of changes) for (const word of mainWords(change.what)) words.set(word, [...(words.get(word) ?? []), change])
  return [...words]
    .filter(([, own]) => new Set(own.map(({ group }) => group)).size > 1)
    .map(([word, own]) => ({ word, helped: own.filter(({ gain }) => gain > 0).length, of: own.length }))
    .sort((a, b) => b.of - a.of || b.helped - a.helped)
}

/**
 * The try before which a group has to say what it changes: the next one, once the one before was tested and nothing was said yet.
 * @example tryToExplain(plan, record, 'g1', 'tissue') // => false
 */
export function tryToExplain(plan: Plan, record: LessonRecord, group: string, condition: string): boolean {
  if (!kindOf(plan).improves) return false
  const tries = triesOf(plan, record, group)
  const place = tries.findIndex((one) => one.condition === condition)
  const own = tries[place]
  return place > 0 && own !== undefined && own.result === undefined && own.change === undefined
}
