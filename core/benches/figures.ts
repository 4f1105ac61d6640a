import { seededRandom, type Random } from '../chance'
import { mean, sampleStandardDeviation } from 'simple-statistics'
import { activeConditions, conditionValue, measuredCard, type Condition, type Plan } from '../lesson'
import { convert } from '../quantity'
import { simulateBounce, type BounceBench } from './bounce'
import { drawDish, simulateSprout, type SproutBench } from './sprout'
import { drawGroupHabit, simulateSoakUp, SOAK_UP_RATES, type SoakUpBench } from './soakUp'

/** Which bench stands behind a ready investigation: one trial of a condition, or nothing where the bench does not know it. */
type Trial = (plan: Plan, condition: Condition, random: Random) => number | undefined

const TRIALS = 400
const SEED = 11

export const SOAK_UP_BENCH: SoakUpBench = {
  rates: {
    'kitchen-roll': SOAK_UP_RATES.kitchenRoll,
    tissue: SOAK_UP_RATES.tissue,
    'writing-paper': SOAK_UP_RATES.writingPaper,
    card: SOAK_UP_RATES.card,
  },
  seconds: 60,
  stripWobble: 0.07,
  readingWobble: 1,
  groupWobble: 0.06,
}
export const BOUNCE_BENCH: BounceBench = { share: 0.55, bounceWobble: 0.03 }

export const SPROUT_BENCH: SproutBench = {
  tallest: { sill: 48, cupboard: 71, fridge: 16, shelf: 52, outside: 34 },
  days: { sill: 4.5, cupboard: 4.5, fridge: 8, shelf: 4.8, outside: 6 },
  dishWobble: 0.09,
  readingWobble: 1.2,
}

const BENCHES: Record<string, Trial> = {
  'soak-up-strips': (plan, { id }, random) => {
    if (!(id in SOAK_UP_BENCH.rates) || plan.measured !== 'height') return undefined
    return convert(simulateSoakUp(SOAK_UP_BENCH, id, drawGroupHabit(SOAK_UP_BENCH, random), random), 'mm', unitOfPlan(plan))
  },
  'bounce-back': (plan, condition, random) => {
    const value = conditionValue(plan, condition)
    const drop = value === undefined ? undefined : convert(value, plan.conditionUnit, 'cm')
    if (drop === undefined || drop <= 0) return undefined
    const { height, seconds } = simulateBounce(BOUNCE_BENCH, drop, random)
    if (plan.measured === 'height') return convert(height, 'cm', unitOfPlan(plan))
    return plan.measured === 'time' ? convert(seconds, 's', unitOfPlan(plan)) : undefined
  },
  'sprout-watch': (plan, { id }, random) => {
    const last = Math.max(0, ...plan.watch.times)
    if (plan.kind !== 'over-time' || plan.watch.unit !== 'day' || plan.measured !== 'tall') return undefined
    const height = simulateSprout(SPROUT_BENCH, id, last, drawDish(SPROUT_BENCH, random), random)
    return height === undefined ? undefined : convert(height, 'mm', unitOfPlan(plan))
  },
}

/**
 * What the bench of the plan's investigation expects of every condition, from 400 seeded trials each, and how far its trials
 * wobble (for the condition that wobbles most).
 * @returns undefined when the plan has no bench or the bench knows fewer than two of its conditions
 */
export function benchFigures(plan: Plan): { expected: Record<string, number>; sd: number } | undefined {
  const trial = plan.investigation === null ? undefined : BENCHES[plan.investigation]
  if (!trial || !measuredCard(plan)) return undefined
  const random = seededRandom(SEED)
  const drawn = activeConditions(plan).flatMap((condition) => {
    const values = Array.from({ length: TRIALS }, () => trial(plan, condition, random)).filter((value) => value !== undefined)
    return values.length < TRIALS ? [] : [{ id: condition.id, average: mean(values), sd: sampleStandardDeviation(values) }]
  })
  if (drawn.length < 2) return undefined
  return {
    expected: Object.fromEntries(drawn.map(({ id, average }) => [id, Number(average.toPrecision(3))])),
    sd: Math.max(...drawn.map(({ sd }) => sd)),
  }
}

/** Does a bench stand behind this plan as it is: asked on every edit, so it draws nothing. */
export function hasBench(plan: Plan): boolean {
  const trial = plan.investigation === null ? undefined : BENCHES[plan.investigation]
  if (!trial || !measuredCard(plan)) return false
  const random = seededRandom(SEED)
  return activeConditions(plan).filter((condition) => trial(plan, condition, random) !== undefined).length > 1
}

function unitOfPlan(plan: Plan) {
  return measuredCard(plan)!.method.unit
}
