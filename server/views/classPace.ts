import type { ClassPace, Plan } from '../../core/lesson'
import { classPaceOf } from '../../core/record'
import { listPaces } from '../database/classPaces'
import type { Database } from '../database/open'

/** How a class went in its last lessons. */
export async function classPace(database: Database, className: string, desk: string | null): Promise<ClassPace | null> {
  return classPaceOf(await listPaces(database, className, desk))
}

/** A plan that is new for its class begins with what is known of it. */
export async function withClassPace(database: Database, plan: Plan, desk: string | null): Promise<Plan> {
  return { ...plan, clock: { ...plan.clock, pace: await classPace(database, plan.className, desk) } }
}
