export const PLAN_VERSION = 1

/** One step per version: `steps[1]` turns a plan of version 1 into one of version 2. */
const steps: Record<number, (plan: unknown) => unknown> = {}

/** Brings a stored plan up to date, step by step. The answer still has to be checked against schemas/plan.ts. */
export function migratePlan(plan: unknown, from: number): unknown {
  let current = plan
  for (let version = from; version < PLAN_VERSION; version += 1) current = steps[version]?.(current) ?? current
  return current
}
