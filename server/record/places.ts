import { conditionsOf, otherGroupOf, WHOLE_CLASS, type AnyKind, type AnyRow, type Plan } from '../../core/lesson'
import { refusal } from '../access/refusal'

/** Refuses rows about groups or conditions that the plan does not have. */
export function checkPlaces(plan: Plan, kind: AnyKind, rows: AnyRow[]): void {
  const groups = new Set(plan.groups.map((group) => group.id))
  const conditions = new Set(plan.conditions.map((condition) => condition.id))
  for (const row of rows) {
    const ofWholeClass = row.group === null || (row.group === WHOLE_CLASS && kind.ofWholeClass?.(row))
    if (!ofWholeClass && !groups.has(row.group!)) throw refusal(409, 'unknown-group', 'group')
    const other = otherGroupOf(kind, row)
    if (other !== null && !groups.has(other)) throw refusal(409, 'unknown-group', kind.otherGroup)
    if (conditionsOf(kind, row).some((condition) => !conditions.has(condition)))
      throw refusal(409, 'unknown-condition', 'condition')
  }
}
