import { LONGEST } from './limits'
import type { Material } from './material'
import type { Plan } from './plan'

/**
 * The plan with a condition's name written anew. A number that changes is another thing to expect a result of: what was measured or
 * simulated for the old one is forgotten, and the adviser falls back on the lowest and the highest.
 */
export function withLabel(plan: Plan, id: string, label: string): Plan {
  const old = plan.conditions.find((condition) => condition.id === id)
  if (!old || old.label === label) return plan
  const conditions = plan.conditions.map((condition) => (condition.id === id ? { ...condition, label } : condition))
  if (plan.conditionsAs === 'kinds') return { ...plan, conditions, materials: renamed(plan.materials, id, old.label, label) }
  const measures = plan.measures.map((measure) => {
    if (!(id in measure.method.expected)) return measure
    const { [id]: _old, ...expected } = measure.method.expected
    return { ...measure, method: { ...measure.method, expected, expectedFrom: 'guess' as const } }
  })
  return { ...plan, conditions, measures }
}

/** Stands for a name that is being written anew. */
const NO_NAME = '…'

/** The things of the kit that are this condition's and called after it: "strips of card" become strips of newspaper, and so does what is got ready. */
function renamed(materials: Material[], condition: string, before: string, now: string): Material[] {
  const old = before.trim() || NO_NAME
  const called = new RegExp(String.raw`(?<!\p{L})${old.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')}(?!\p{L})`, 'iu')
  // A thing's name has to fit its place, however long the condition's is.
  const anew = (text: string) => text.replace(called, () => now.trim() || NO_NAME).slice(0, LONGEST.name)
  return materials.map((material) => {
    if (material.condition !== condition) return material
    const { name, preparation } = material
    return { ...material, name: anew(name), preparation: preparation && { ...preparation, words: anew(preparation.words) } }
  })
}

/** The plan with one condition more. */
export function withCondition(plan: Plan, id: string, label: string): Plan {
  return { ...plan, conditions: [...plan.conditions, { id, label, baseline: false, leftOut: false }] }
}
