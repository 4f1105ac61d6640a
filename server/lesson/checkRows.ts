import type { Plan } from '../../core/lesson'
import { Refusal } from '../access/refusal'

/** Refuses rows about groups or conditions that the plan does not have. */
export function checkPlaces(plan: Plan, rows: { group: string | undefined; conditions: string[] }[]): void {
  const groups = new Set(plan.groups.map((group) => group.id))
  const conditions = new Set(plan.conditions.map((condition) => condition.id))
  for (const row of rows) {
    if (row.group !== undefined && !groups.has(row.group)) throw unknown('group')
    if (row.conditions.some((condition) => !conditions.has(condition))) throw unknown('condition')
  }
}

export function idTaken(): Refusal {
  return new Refusal(409, {
    code: 'id-taken',
    message: 'This entry already belongs to another lesson. Enter it again.',
    field: 'id',
  })
}

function unknown(field: 'group' | 'condition'): Refusal {
  return new Refusal(409, {
    code: `unknown-${field}`,
    message: `The plan has no such ${field} any more. Load the page again and enter it once more.`,
    field,
  })
}
