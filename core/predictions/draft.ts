import { axisFor, type Axis } from '../charts'
import { activeConditions, conditionValue, type Plan, type Prediction } from '../lesson'
import { momentsOf, predictionOf, testOf } from '../test'
import { withoutNoise } from '../quantity'
import { changesAsked } from './changes'
import { orderOfValues } from './tally'

/** A prediction in the making: what is chosen, tapped or drawn so far. */
export type PredictionDraft = Pick<Prediction, 'as' | 'order' | 'values'>

export function emptyDraft(plan: Plan): PredictionDraft {
  return { as: predictionOf(plan), order: [], values: {} }
}

/** Is everything said that this way of predicting asks for. */
export function isWhole(plan: Plan, { as, order, values }: PredictionDraft): boolean {
  const conditions = activeConditions(plan)
  if (as === 'order') return order.length === conditions.length
  if (as === 'most-least') return order.length === 2 && order[0] !== order[1] && order.every((id) => id !== '')
  const each = as === 'change' ? changesAsked(plan) : conditions.map(({ id }) => id)
  const asked = as === 'line' ? linePoints(plan).map(({ id }) => id) : each
  return asked.length > 0 && asked.every((id) => values[id] !== undefined)
}

/** The draft as it is stamped: numbers for conditions stand for an order too. */
export function finished(plan: Plan, draft: PredictionDraft): PredictionDraft {
  const byNumber = draft.as === 'number' || draft.as === 'line'
  return byNumber ? { ...draft, order: orderOfValues(plan, draft.values) } : draft
}

export interface LinePoint {
  /** Condition or moment. */
  id: string
  x: number
}

/** Where a sketched line has its points: at each number, or at each time of watching; from left to right. */
export function linePoints(plan: Plan): LinePoint[] {
  if (testOf(plan).kind.watches) {
    const times = new Map<number, LinePoint>()
    for (const { id, time } of momentsOf(plan)) if (time !== undefined && !times.has(time)) times.set(time, { id, x: time })
    return [...times.values()]
  }
  return activeConditions(plan)
    .flatMap((condition) => {
      const x = conditionValue(plan, condition)
      return x === undefined ? [] : [{ id: condition.id, x }]
    })
    .sort((a, b) => a.x - b.x)
}

/** The axes to sketch on: up to half as much again as the teacher expects, so that the paper does not give the answer away. */
export function lineAxes(plan: Plan): { across: Axis; up: Axis } {
  const { method, way, words, kind, unit } = testOf(plan)
  const [low, high] = [method?.expectedLow ?? 0, method?.expectedHigh ?? 10]
  const most = way.fromWords ? Math.max(1, words.length) : Math.max(high * 1.5, low + 1)
  return {
    across: axisFor(
      linePoints(plan).map(({ x }) => x),
      kind.watches,
      kind.watches ? undefined : plan.conditionUnit,
    ),
    up: axisFor([most], low >= 0, unit),
  }
}

/** A height of the sketch on the instrument's mark. */
export function onSketch(plan: Plan, value: number): number {
  const { up } = lineAxes(plan)
  const mark = testOf(plan).resolution
  return withoutNoise(Math.min(up.to, Math.max(up.from, Math.round(value / mark) * mark)))
}
