import { secondsOfTrial } from '../arrangement'
import { fAbove, fLeaving, noncentralFAbove } from '../chance'
import { activeConditions, MOST_GROUPS, MOST_TRIALS, type Plan } from '../lesson'
import { methodMeasuringSd } from '../measuring'
import { testOf } from '../test'
import { readOnce, type Evidence } from './grade'

/** What would let the class be surer, and what would not. */
export type Surer =
  | { code: 'fill-places' }
  | { code: 'more-repeats'; extra: number; repeats: number; chance: number; minutes: number }
  | { code: 'more-groups'; groups: number; chance: number }
  | { code: 'second-reading' }
  /** Conditions that were read once, read twice more each. */
  | { code: 'even-out'; conditions: string[]; minutes: number }
  | { code: 'fresh-things' }
  | { code: 'ask-it-first' }
  | { code: 'more-together' }
  | { code: 'steadier-measuring'; share: number }
  | { code: 'bigger-steps' }
  | { code: 'more-orders'; now: number; needed: number; of: 'groups' | 'rounds' }

const CLEAR_BELOW = 0.05
const GOOD_CHANCE = 0.8
const MOST_EXTRA = 12
const MOST_COUNTED_GROUPS = 3 * MOST_GROUPS
const MEASURING_MATTERS = 0.5
const FREEDOM_TO_JUDGE = 2
const EVEN_OUT_BY = 2

/**
 * What would make the answer surer, the most useful first; nothing where it is clear or the same. More repeats and more groups are counted out: were the
 * gaps as wide as they look, how many more would bring "clear" with four chances in five. The effect is taken smaller than it looks, by what
 * wobble alone adds to an F on average. Repeats make only the readings of one thing steadier, groups bring other things as well: where no repeats can do it, groups are named.
 */
export function surerBy(plan: Plan, evidence: Evidence): Surer[] {
  const { grade, limits, model, friedman, fit } = evidence
  if (grade !== 'leaning' && grade !== 'cannot-tell') return []
  const filling: Surer[] = limits.includes('unfinished') ? [{ code: 'fill-places' }] : []
  if (limits.includes('one-reading-each')) return [...filling, { code: 'second-reading' }]
  if (limits.includes('uneven-readings')) return [...filling, evenOut(plan, evidence)]
  if (limits.includes('also-seen')) return [...filling, { code: 'ask-it-first' }]
  if (friedman) return [...filling, ...moreOrders(evidence)]
  if (limits.includes('same-thing')) return [...filling, { code: 'fresh-things' }, { code: 'more-together' }]
  if (!model || !fit) return [...filling, { code: 'more-together' }]
  const { method } = testOf(plan)
  const within = evidence.wobble ?? Math.sqrt(model.residualVariance * fit.perCell)
  const share = method && within > 0 ? Math.min(1, methodMeasuringSd(method) ** 2 / within ** 2) : 0
  const counted = [moreRepeats(evidence, plan), fit.onCells ? moreGroups(evidence) : undefined].filter((one) => one !== undefined)
  const tooFew: Surer[] = limits.includes('few-groups') && counted.length === 0 ? [{ code: 'more-together' }] : []
  return [
    ...filling,
    ...counted,
    ...tooFew,
    ...(share > MEASURING_MATTERS ? [{ code: 'steadier-measuring' as const, share }] : []),
    { code: 'bigger-steps' as const },
  ]
}

/** The cheapest way out: the weakest ones as often as the rest. */
function evenOut(plan: Plan, { fit }: Evidence): Surer {
  const conditions = readOnce(fit!.cells)
  return { code: 'even-out', conditions, minutes: Math.ceil((EVEN_OUT_BY * conditions.length * secondsOfTrial(plan)) / 60) }
}

function moreRepeats({ model, fit, wobble }: Evidence, plan: Plan): Surer | undefined {
  const { rank, F, df, residualVariance } = model!
  const { perCell, onCells, cells, groups } = fit!
  const effect = effectOf(F, rank, df)
  // What repeats can make smaller: the part of the mean square that comes from single readings.
  const within = onCells ? (wobble === undefined ? residualVariance : Math.min(residualVariance, wobble ** 2 / perCell)) : 0
  for (let extra = 1; extra <= MOST_EXTRA && plan.repeats + extra <= MOST_TRIALS; extra += 1) {
    const more = (perCell + extra) / perCell
    const chance = onCells
      ? chanceOfClear((effect * residualVariance) / (residualVariance - within + within / more), rank, df)
      : chanceOfClear(effect * more, rank, Math.round(cells.length * (perCell + extra)) - groups - rank)
    if (chance < GOOD_CHANCE) continue
    const minutes = Math.ceil((extra * activeConditions(plan).length * secondsOfTrial(plan)) / 60)
    return { code: 'more-repeats', extra, repeats: plan.repeats + extra, chance, minutes }
  }
  return undefined
}

/** So many groups in all, each doing what the groups do now. */
function moreGroups({ model, fit }: Evidence): Surer | undefined {
  const { rank, F, df } = model!
  const { groups, cells } = fit!
  const effect = effectOf(F, rank, df)
  for (let all = groups + 1; all <= MOST_COUNTED_GROUPS; all += 1) {
    const freedom = Math.round((cells.length * all) / groups) - all - rank
    const chance = chanceOfClear((effect * all) / groups, rank, freedom)
    if (chance >= GOOD_CHANCE) return { code: 'more-groups', groups: all, chance }
  }
  return undefined
}

/** More orders help only where they can: so many are needed before luck alone could not make them all alike. */
function moreOrders({ reach, fit, agreement }: Evidence): Surer[] {
  if (!reach) return []
  const of = agreement || fit ? 'groups' : 'rounds'
  return [{ code: 'more-orders', now: reach.blocks, needed: Math.max(reach.needed, reach.blocks + 1), of }]
}

/** How far the conditions really are apart (noncentrality), less what wobble alone brings: E[F] = df2 / (df2 - 2) (1 + effect / df1). */
function effectOf(F: number, df1: number, df2: number): number {
  return df2 <= FREEDOM_TO_JUDGE ? 0 : Math.max(0, df1 * ((F * (df2 - 2)) / df2 - 1))
}

/** Chance that the F test comes out at 0.05 or below. `chanceOfClear(0, 2, 30) // 0.05` */
export function chanceOfClear(effect: number, df1: number, df2: number): number {
  if (df2 < 1) return 0
  const critical = fLeaving(CLEAR_BELOW, df1, df2)
  return effect === 0 ? fAbove(critical, df1, df2) : noncentralFAbove(critical, df1, df2, effect)
}
