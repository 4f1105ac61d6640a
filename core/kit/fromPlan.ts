import { activeConditions, conditionName, newMaterial, type Material, type Plan } from '../lesson'
import { measuredCards } from '../test'

/**
 * Things that the plan speaks of and the kit does not have yet: what it is measured with, and one for every condition that is a
 * kind.
 * @example materialsFromPlan({ ...plan, materials: [] }, newId).map(({ name }) => name)
 *   // => ['ruler', 'kitchen roll', 'tissue', 'writing paper', 'card']
 */
export function materialsFromPlan(plan: Plan, newId: () => string): Material[] {
  const known = plan.materials.map(({ name }) => name.toLowerCase())
  const missing = (name: string) => name !== '' && !known.some((other) => other.includes(name.toLowerCase()))
  const tools = [...new Set(measuredCards(plan).map(({ method }) => method.tool.split(',')[0]!.trim()))]
  const measuring = tools
    .filter((tool) => missing(tool) && tool !== 'counting')
    .map((tool) => ({ ...newMaterial(newId(), tool), use: 'again' as const }))
  if (plan.conditionsAs !== 'kinds') return measuring
  const served = new Set(plan.materials.map(({ condition }) => condition))
  const kinds = activeConditions(plan)
    .filter((condition) => !served.has(condition.id) && condition.label.trim() !== '' && missing(condition.label.trim()))
    .map((condition) => ({
      ...newMaterial(newId(), conditionName(plan, condition)),
      per: 'trial' as const,
      condition: condition.id,
    }))
  return [...measuring, ...kinds]
}
