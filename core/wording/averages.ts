import { classAverage, type Evidence } from '../evidence'
import type { AverageWay, Plan } from '../lesson'
import { testOf } from '../test'

/** The averages that sentences give, and which they are. */
export interface SaidAverages {
  way: Exclude<AverageWay, 'none'>
  of: (condition: string) => number | undefined
}

const ON_AVERAGE: Record<SaidAverages['way'], string> = {
  mean: 'on average',
  median: 'in the middle',
  mode: 'as the commonest number',
}

/** Which average a figure is, behind it. `onAverageWords('mean') // 'on average'` */
export const onAverageWords = (way: SaidAverages['way']): string => ON_AVERAGE[way]

/**
 * The averages of sentences: the same that stand in the graph. Where the class's middle or commonest values would tell another order than the one that counts
 * (groups did not all do the same), or are not there, sentences go by the averages with the groups evened out.
 * @example saidAverages(soakUpPlan({ average: 'median' }), evidence).way // => 'median'
 */
export function saidAverages(plan: Plan, { order, summaries }: Evidence): SaidAverages {
  const evened = new Map(summaries.map((summary) => [summary.condition, summary.evened]))
  const own = new Map(summaries.map((summary) => [summary.condition, classAverage(plan, summary)]))
  const way = testOf(plan).way.isAmount ? plan.average : 'mean'
  if (way === 'mean' || way === 'none') return { way: 'mean', of: (id) => evened.get(id) }
  const steps = order.slice(1).map((id, place) => [order[place]!, id] as const)
  const sameOrder = steps.every(([more, less]) => {
    const [above, below] = [own.get(more), own.get(less)]
    return above !== undefined && below !== undefined && (above > below || evened.get(more) === evened.get(less))
  })
  const said = sameOrder && summaries.every(({ condition }) => own.get(condition) !== undefined)
  return said ? { way, of: (id) => own.get(id) } : { way: 'mean', of: (id) => evened.get(id) }
}
