import { FIRST_TIMES } from './moments'
import type { Kind, Method, Plan, PredictAs } from './plan'

/** What a kind of test asks for; what it then shows follows from this, stop by stop. */
export interface KindShape {
  fewestConditions: number
  /** A card has to lie in the Change tray. */
  needsChange: boolean
  /** Conditions are compared with each other, so that fairness between them matters. */
  compares: boolean
  instruments: Method['instrument'][]
  predictions: PredictAs[]
}

const BY_PLACE: Method['instrument'][] = ['race', 'balance']

export const KIND_SHAPES: Record<Kind, KindShape> = {
  'fair-test': {
    fewestConditions: 2,
    needsChange: true,
    compares: true,
    instruments: ['number', 'words'],
    predictions: ['order', 'most-least', 'number', 'line'],
  },
  'before-after': {
    fewestConditions: 1,
    needsChange: true,
    compares: true,
    instruments: ['number'],
    predictions: ['change', 'order', 'most-least', 'number'],
  },
  'over-time': {
    fewestConditions: 1,
    needsChange: false,
    compares: true,
    instruments: ['number', 'words'],
    predictions: ['line', 'order', 'most-least', 'number'],
  },
  order: {
    fewestConditions: 2,
    needsChange: true,
    compares: true,
    instruments: BY_PLACE,
    predictions: ['order', 'most-least'],
  },
  improve: {
    fewestConditions: 2,
    needsChange: true,
    compares: false,
    instruments: ['number'],
    predictions: ['number', 'most-least'],
  },
  describe: {
    fewestConditions: 1,
    needsChange: true,
    compares: true,
    instruments: ['words', 'number'],
    predictions: ['number', 'order', 'most-least'],
  },
}

/** What this plan asks for: its kind's own, and of a class in which each child measures for itself one thing is enough. */
export function shapeOf(plan: Pick<Plan, 'kind' | 'each'>): KindShape {
  const shape = KIND_SHAPES[plan.kind]
  return plan.each === 'child' ? { ...shape, fewestConditions: 1, needsChange: false } : shape
}

/** How this class predicts: what the plan says where its kind of test allows it, else the kind's own way. */
export function predictionOf(plan: Plan): PredictAs {
  const allowed = predictionsFor(plan)
  return allowed.includes(plan.predictAs) ? plan.predictAs : (allowed[0] ?? 'order')
}

/**
 * The ways to predict that make sense for this plan: an order needs two conditions, a line needs numbers or times along the bottom.
 * @example predictionsFor(soakUpPlan()) // => ['order', 'most-least', 'number']
 */
export function predictionsFor(plan: Plan): PredictAs[] {
  const conditions = plan.conditions.filter((condition) => !condition.leftOut).length
  return KIND_SHAPES[plan.kind].predictions.filter((way) => {
    if (way === 'order' || way === 'most-least') return conditions > 1
    if (way === 'line') return plan.kind === 'over-time' ? plan.watch.times.length > 1 : plan.conditionsAs === 'numbers'
    return true
  })
}

/**
 * The plan as another kind of test. What the new kind cannot use stays in the plan; only the instrument changes where the new
 * kind cannot be read with the old one.
 */
export function withKind(plan: Plan, kind: Kind): Plan {
  const { instruments } = KIND_SHAPES[kind]
  return {
    ...plan,
    kind,
    watch:
      kind === 'over-time' && plan.watch.times.length === 0 ? { ...plan.watch, times: FIRST_TIMES[plan.watch.unit] } : plan.watch,
    measures: plan.measures.map((measure) =>
      (measure.id !== plan.measured && !plan.alsoMeasured.includes(measure.id)) || instruments.includes(measure.method.instrument)
        ? measure
        : { ...measure, method: readBy(measure.method, instruments[0]!) },
    ),
  }
}

/**
 * The method read in another way: a number keeps its unit, words and places have none. What was said of the old one is kept and
 * comes back with it.
 */
export function readBy(method: Method, instrument: Method['instrument']): Method {
  if (instrument === method.instrument) return method
  if (instrument === 'number') return { ...method, instrument, unit: 'cm', resolution: 1 }
  const unit = instrument === 'words' ? 'words' : 'place'
  const words = instrument === 'words' && method.words.length === 0 ? FIRST_WORDS : method.words
  return { ...method, instrument, unit, words, resolution: 1, readingWobble: 0, timingWobble: 0 }
}

/** What a plan begins with where nobody has said anything else. */
export const FIRST_WORDS = ['dry', 'damp', 'wet']
