import { madeUpRow, modelOf, withoutContainers, type Model } from '../benches'
import { bestFirst, type Evidence } from '../evidence'
import { activeConditions, type Plan } from '../lesson'
import { comparesMoments, comparesWithItself, eachMeasure, firstSeries, momentsOf, testOf } from '../test'
import { trialResults } from '../record'

/** What the model says without any wobble. */
export interface Truth {
  from: Model['from']
  /** Conditions, or the moments of one thing, in the evidence's own order: the most first, or who comes first. */
  order: string[]
  /** By condition, in the unit of the results; what one thing is before and after, where it is compared with itself. */
  results: Map<string, number>
  /** Those that may come out best: more than one where they are level. */
  winners: string[]
  /** Nothing differs: the honest answer is the same. */
  level: boolean
}

/** Closer than this share of the largest result nothing differs. */
const NOTHING = 1e-6

/**
 * What a class would find if nothing wobbled.
 * @returns undefined where there is neither a bench nor a guess
 * @example trueOrder(soakUpPlan())!.winners // => ['kitchen-roll']
 */
export function trueOrder(whole: Plan): Truth | undefined {
  const plan = eachMeasure(withoutContainers(whole))[0]
  const model = plan && modelOf(plan)
  if (!plan || !model || plan.groups.length === 0) return undefined
  const results = resultsOf(plan, model)
  const sign = testOf(plan).way.sideBySide ? 1 : -1
  const order = [...results.keys()].sort((a, b) => sign * (results.get(a)! - results.get(b)!))
  const largest = Math.max(...[...results.values()].map(Math.abs))
  const isLevel = (a: string, b: string) => Math.abs(results.get(a)! - results.get(b)!) <= NOTHING * largest
  const best = winnerOf(plan, {
    order,
    tied: [],
    summaries: order.map((condition) => ({ condition, evened: results.get(condition)! })),
  })
  return {
    from: model.from,
    order,
    results,
    winners: best === undefined ? [] : order.filter((id) => isLevel(id, best)),
    level: order.length > 0 && isLevel(order[0]!, order.at(-1)!),
  }
}

/**
 * Does the evidence say something clear that is not so: another winner than the model's, or one where nothing differs.
 * @example isFooled(soakUpPlan(), { ...evidence, grade: 'cannot-tell' }, trueOrder(soakUpPlan())!) // => false
 */
export function isFooled(plan: Plan, evidence: Evidence, { level, winners }: Truth): boolean {
  // Words without an order have no winner: what is false of them is that they differ.
  if (evidence.sorted) return evidence.grade === 'clear' && level
  return evidence.grade === 'clear' && (level || !winners.includes(winnerOf(plan, evidence) ?? ''))
}

/** What is best by the plan's own word; where nothing is best, or the two best are level, what stands first. */
function winnerOf(plan: Plan, evidence: Parameters<typeof bestFirst>[1]): string | undefined {
  return (bestFirst(plan, evidence) ?? evidence.order)[0]
}

function resultsOf(plan: Plan, model: Model): Map<string, number> {
  // Of several series the first is what the evidence speaks of.
  const conditions = activeConditions(firstSeries(plan)).map(({ id }) => id)
  const { way, unit } = testOf(plan)
  if (comparesWithItself(plan)) {
    const [before, after] = model.truth(conditions[0]!)
    return new Map([
      ['before', before!],
      ['after', after!],
    ])
  }
  if (comparesMoments(plan)) return new Map(momentsOf(plan).map(({ id }, at) => [id, model.truth(conditions[0]!)[at]!]))
  if (!way.isAmount) return new Map(conditions.map((id) => [id, model.truth(id)[0]!]))
  const moments = momentsOf(plan)
  const group = plan.groups[0]!.id
  const readings = conditions.flatMap((condition) =>
    model.truth(condition).map((value, at) => ({
      ...madeUpRow({ group, condition, repeat: 1, moment: moments[at]!.id }, value, unit),
      id: `${condition}/${at}`,
      at: '',
    })),
  )
  return new Map(trialResults(plan, readings).map(({ condition, value }) => [condition, value]))
}
