import { modelOf, type Model } from '../benches'
import { activeConditions, eachMeasure, measuredCard, momentsOf, type Plan, type Reading } from '../lesson'
import { trialResults } from '../record'

/** What the model says without any wobble. */
export interface Truth {
  from: Model['from']
  /** Conditions, or before and after of one thing, in the evidence's own order: the most first, or who comes first. */
  order: string[]
  /** By condition, in the unit of the results; what one thing is before and after, where it is compared with itself. */
  results: Map<string, number>
  /** Nothing differs: the honest answer is the same. */
  level: boolean
}

/** Closer than this share of the largest result nothing differs. */
const NOTHING = 1e-6

/**
 * What a class would find if nothing wobbled.
 * @returns undefined where there is neither a bench nor a guess
 * @example trueOrder(soakUpPlan())!.order[0] // => 'kitchen-roll'
 */
export function trueOrder(whole: Plan): Truth | undefined {
  const plan = eachMeasure(whole)[0]
  const model = plan && modelOf(plan)
  const method = plan && measuredCard(plan)?.method
  if (!plan || !model || !method || plan.groups.length === 0) return undefined
  const conditions = activeConditions(plan).map(({ id }) => id)
  const moments = momentsOf(plan)
  const results = new Map<string, number>()
  if (plan.kind === 'before-after' && conditions.length === 1) {
    const [before, after] = model.truth(conditions[0]!)
    results.set('before', before!).set('after', after!)
  } else if (method.instrument !== 'number') {
    for (const id of conditions) results.set(id, model.truth(id)[0]!)
  } else {
    const readings = conditions.flatMap((condition) =>
      model.truth(condition).map((value, at): Reading => ({
        ...READ,
        group: plan.groups[0]!.id,
        id: `${condition}/${at}`,
        condition,
        moment: moments[at]!.id,
        value,
        unit: method.unit,
        entered: String(value),
      })),
    )
    const bare = { ...plan, measures: plan.measures.map((one) => ({ ...one, method: { ...one.method, weighsEmpty: false } })) }
    for (const { condition, value } of trialResults(bare, readings)) results.set(condition, value)
  }
  const sign = method.instrument === 'race' ? 1 : -1
  const values = [...results.values()]
  return {
    from: model.from,
    order: [...results.keys()].sort((a, b) => sign * (results.get(a)! - results.get(b)!)),
    results,
    level: Math.max(...values) - Math.min(...values) <= NOTHING * Math.max(...values.map(Math.abs)),
  }
}

const READ = {
  repeat: 1,
  practice: false,
  status: 'kept',
  reason: '',
  confirmed: false,
  supersedes: null,
  by: 'desk',
  at: '2000-01-01T00:00:00.000Z',
} as const
