import type { Plan } from '../lesson'
import type { School } from './cupboard'
import { needsOf } from './needs'

/** Is a thing in the cupboard, are there too few, or does the cupboard not list it. */
export type Stocked = 'there' | 'too-few' | 'not-listed'

/** What a plan needs by name, and whether the cupboard has it. `[{ name: '30 cm ruler', stocked: 'too-few' }]` */
export function stockedFor(plan: Plan, school: School): { name: string; stocked: Stocked }[] {
  return needsOf(plan, school).map(({ material, supply, short }) => ({
    name: plan.materials.find(({ id }) => id === material)!.name,
    stocked: supply.thing === undefined ? 'not-listed' : short > 0 ? 'too-few' : 'there',
  }))
}
