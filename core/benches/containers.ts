import { type Plan } from '../lesson'

/** The plan without weighing containers empty: what is drawn is what is in them. */
export function containersFull(plan: Plan): Plan {
  return { ...plan, measures: plan.measures.map((measure) => ({ ...measure, method: { ...measure.method, weighsEmpty: false } })) }
}
