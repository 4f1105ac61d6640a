import type { Plan } from './plan'

/**
 * The plan with a condition's name written anew. A number that changes is another thing to expect a result of: what was measured or
 * simulated for the old one is forgotten, and the adviser falls back on the lowest and the highest.
 */
export function withLabel(plan: Plan, id: string, label: string): Plan {
  const old = plan.conditions.find((condition) => condition.id === id)
  if (!old || old.label === label) return plan
  const conditions = plan.conditions.map((condition) => (condition.id === id ? { ...condition, label } : condition))
  if (plan.conditionsAs === 'kinds') return { ...plan, conditions }
  const measures = plan.measures.map((measure) => {
    if (!(id in measure.method.expected)) return measure
    const { [id]: _old, ...expected } = measure.method.expected
    return { ...measure, method: { ...measure.method, expected, expectedFrom: 'guess' as const } }
  })
  return { ...plan, conditions, measures }
}

/** The plan with one condition more. */
export function withCondition(plan: Plan, id: string, label: string): Plan {
  return { ...plan, conditions: [...plan.conditions, { id, label, baseline: false, leftOut: false }] }
}
