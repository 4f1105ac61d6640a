import { seededRandom, type Random } from '../chance'
import { activeConditions, type LessonRecord, type Plan, type Prediction } from '../lesson'
import { predictionOf } from '../test'
import { drawClass } from './drawClass'
import { trueOrder, type Truth } from './truth'

/** One made-up class, to be walked through: the plan as its teacher closes it, and everything it has written down. */
export interface MadeUp {
  seed: number
  plan: Plan
  record: LessonRecord
}

const MINUTE = 60_000

/**
 * The class of a seed: the same one wherever it is drawn, on every screen and printout. Nothing of it is stored anywhere.
 * @param begins ISO time at which the lesson begins
 * @returns undefined where there is neither a bench nor a guess
 * @example madeUpClass(soakUpPlan(), 7, '2026-03-12T09:00:00.000Z')!.record.predictions.length // => 7
 */
export function madeUpClass(plan: Plan, seed: number, begins: string): MadeUp | undefined {
  const random = seededRandom(seed)
  const truth = trueOrder(plan)
  const stampOf = (minute: number) => new Date(Date.parse(begins) + minute * MINUTE).toISOString()
  let ids = 0
  const newId = () => `made-up-${seed}-${(ids += 1)}`
  const drawn = truth && drawClass(plan, random, { newId, stampOf })
  if (!drawn) return undefined
  const predictions = predictionsOf(plan, truth, random, newId, stampOf(0))
  return { seed, plan: drawn.plan, record: { ...drawn.record, predictions } }
}

/** What groups think before: orders with a grain of truth in them. Where numbers or lines are predicted, nobody has yet. */
function predictionsOf(plan: Plan, truth: Truth, random: Random, newId: () => string, at: string): Prediction[] {
  const as = predictionOf(plan)
  const conditions = activeConditions(plan).map(({ id }) => id)
  if ((as !== 'order' && as !== 'most-least') || conditions.length < 2) return []
  const rank = (id: string) => truth.order.indexOf(id)
  return plan.groups.map(({ id: group }): Prediction => {
    const guess = new Map(conditions.map((id) => [id, rank(id) + 2 * random() * Math.sqrt(conditions.length)]))
    const order = [...conditions].sort((a, b) => guess.get(a)! - guess.get(b)!)
    const said = as === 'order' ? order : [order[0]!, order.at(-1)!]
    return { id: newId(), group, as, order: said, values: {}, reason: '', measure: null, late: false, by: 'station', at }
  })
}
