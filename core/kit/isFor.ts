import { type Material, type Plan } from '../lesson'
import { atLevel } from '../test'

/**
 * Is a thing of the kit for this condition: for all, for this one, or for its level in another series.
 */
export function isFor(plan: Plan, { condition: own }: Pick<Material, 'condition'>, condition: string): boolean {
  return own === null || own === condition || atLevel(plan, own).includes(condition)
}
