import { type Kind, type Plan, type PredictAs } from '../lesson'
import { KINDS_OF_TEST, kindOf, type KindOfTest } from './kinds'
import { FIRST_TIMES } from './moments'
import { testOf } from './test'
import { comparesMoments } from './things'
import { readBy, withMethodOn } from './ways'

/** What this plan asks for: its kind's own, and of a class in which each child measures for itself one thing is enough. */
export function shapeOf(plan: Pick<Plan, 'kind' | 'each'>): Pick<KindOfTest, 'fewestConditions' | 'needsChange'> {
  return plan.each === 'child' ? { fewestConditions: 1, needsChange: false } : kindOf(plan)
}

/** How this class predicts: what the plan says where its kind of test allows it, else the kind's own way. */
export function predictionOf(plan: Plan): PredictAs {
  const allowed = predictionsFor(plan)
  return allowed.includes(plan.predictAs) ? plan.predictAs : (allowed[0] ?? 'order')
}

/**
 * The ways to predict that make sense for this plan: an order needs two conditions, a line needs numbers or times along the bottom.
 * @example predictionsFor(soakUpPlan()) // => ['order', 'most-least', 'number', 'change']
 */
export function predictionsFor(plan: Plan): PredictAs[] {
  const conditions = plan.conditions.filter((condition) => !condition.leftOut).length
  const { predictions, watches, readsTwice } = kindOf(plan)
  const { ranks, isAmount } = testOf(plan).way
  const makesSense: Record<PredictAs, boolean> = {
    order: ranks && conditions > 1,
    'most-least': ranks && conditions > 1,
    number: true,
    line: !ranks ? false : watches ? plan.watch.times.length > 1 : plan.conditionsAs === 'numbers',
    change: readsTwice || comparesMoments(plan) || (isAmount && !watches && conditions > 1),
  }
  return predictions.filter((as) => makesSense[as])
}

/**
 * The plan as another kind of test. What the new kind cannot use stays in the plan; only the way of reading changes where the new
 * kind cannot be read in the old one.
 */
export function withKind(plan: Plan, kind: Kind): Plan {
  const { ways, watches } = KINDS_OF_TEST[kind]
  return {
    ...plan,
    kind,
    watch: watches && plan.watch.times.length === 0 ? { ...plan.watch, times: FIRST_TIMES[plan.watch.unit] } : plan.watch,
    measures: plan.measures.map((measure) =>
      (measure.id !== plan.measured && !plan.alsoMeasured.includes(measure.id)) || ways.includes(measure.method.way)
        ? measure
        : withMethodOn(measure, (method) => readBy(method, ways[0]!)),
    ),
  }
}
