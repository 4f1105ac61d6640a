import type { Plan } from '../lesson'

/** Whose a record is. */
export function ownerWord({ each }: Pick<Plan, 'each'>): 'group' | 'child' {
  return each
}

/** `countedOwners(soakUpPlan(), 3) // '3 groups'`, of a class in which each child has its own `'3 children'` */
export function countedOwners({ each }: Pick<Plan, 'each'>, count: number): string {
  return `${count} ${ownersWord({ each }, count)}`
}

/** `ownersWord(soakUpPlan(), 2) // 'groups'` */
export function ownersWord({ each }: Pick<Plan, 'each'>, count = 2): string {
  if (each === 'group') return count === 1 ? 'group' : 'groups'
  return count === 1 ? 'child' : 'children'
}
