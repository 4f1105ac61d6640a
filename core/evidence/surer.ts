import { secondsOfTrial } from '../clock'
import { activeConditions, measuredCard, MOST_TRIALS, type Plan } from '../lesson'
import { methodMeasuringSd } from '../measuring'
import { fAbove, fLeaving, noncentralFAbove } from './distributions'
import type { Evidence } from './grade'

/** What would let the class be surer, and what would not. */
export type Surer =
  | { code: 'more-repeats'; extra: number; repeats: number; chance: number; minutes: number }
  | { code: 'second-reading' }
  | { code: 'steadier-measuring'; share: number }
  | { code: 'bigger-steps' }
  | { code: 'more-races' }

const CLEAR_BELOW = 0.05
const GOOD_CHANCE = 0.8
const MOST_EXTRA = 12
const MEASURING_MATTERS = 0.5

/**
 * What would make the answer surer, the most useful first; nothing where it is clear or the same. More repeats are counted out: were the
 * gaps as wide as they look, how many more of each condition would bring "clear" with four chances in five. The effect is taken smaller than it looks, by what
 * wobble alone adds to an F on average.
 */
export function surerBy(plan: Plan, evidence: Evidence): Surer[] {
  const { grade, model, friedman } = evidence
  if (grade === 'clear' || grade === 'same' || grade === 'nothing-yet') return []
  if (evidence.oneReadingEach) return [{ code: 'second-reading' }]
  if (friedman) return [{ code: 'more-races' }]
  if (!model) return []
  const method = measuredCard(plan)?.method
  const share = method ? Math.min(1, methodMeasuringSd(method) ** 2 / model.residualVariance) : 0
  const repeats = repeatsToBeClear(evidence, plan)
  return [
    ...(repeats ? [repeats] : []),
    ...(share > MEASURING_MATTERS ? [{ code: 'steadier-measuring' as const, share }] : []),
    { code: 'bigger-steps' as const },
  ]
}

function repeatsToBeClear({ model, summaries }: Evidence, plan: Plan): Surer | undefined {
  const conditions = summaries.length
  const readings = summaries.reduce((sum, { count }) => sum + count, 0)
  const rank = conditions - 1
  const groups = readings - rank - model!.df
  const effect = effectOf(model!.F, rank, model!.df)
  const repeatsNow = Math.max(1, readings / (Math.max(1, groups) * conditions))
  for (let extra = 1; extra <= MOST_EXTRA && plan.repeats + extra <= MOST_TRIALS; extra += 1) {
    const more = (repeatsNow + extra) / repeatsNow
    const df = Math.round(readings * more) - groups - rank
    const chance = chanceOfClear(effect * more, rank, df)
    if (chance < GOOD_CHANCE) continue
    const minutes = Math.ceil((extra * activeConditions(plan).length * secondsOfTrial(plan)) / 60)
    return { code: 'more-repeats', extra, repeats: plan.repeats + extra, chance, minutes }
  }
  return undefined
}

/** How far the conditions really are apart (noncentrality), less what wobble alone brings: E[F] = df2 / (df2 - 2) (1 + effect / df1). */
function effectOf(F: number, df1: number, df2: number): number {
  return Math.max(0, df1 * ((F * Math.max(df2 - 2, 1)) / Math.max(df2, 1) - 1))
}

/** Chance that the F test comes out at 0.05 or below. `chanceOfClear(0, 2, 30) // 0.05` */
export function chanceOfClear(effect: number, df1: number, df2: number): number {
  const critical = fLeaving(CLEAR_BELOW, df1, df2)
  return effect === 0 ? fAbove(critical, df1, df2) : noncentralFAbove(critical, df1, df2, effect)
}
