import type { Plan } from '../core/lesson'
import { readBy, withMethod, type ResolvedMethod } from '../core/test'

/** The plan with its measure read otherwise: another way, other words, another unit. */
export function measuredSo(plan: Plan, change: Partial<ResolvedMethod>): Plan {
  return withMethod(plan, (method) => ({ ...readBy(method, change.way ?? method.way), ...change }))
}
