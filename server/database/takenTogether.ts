import { eq } from 'drizzle-orm'
import type { Plan } from '../../core/lesson'
import { NEW_TOGETHER, takenTogether } from '../../core/together'
import type { Database } from './open'
import { lessons, togethers } from './schema'

/** The plan as it takes things out of the cupboard: alone, or as it stands in the room with others. */
export async function planAsTaken(database: Database, lesson: string, plan: Plan): Promise<Plan> {
  const [row] = await database
    .select({ body: togethers.body })
    .from(lessons)
    .innerJoin(togethers, eq(togethers.id, lessons.together))
    .where(eq(lessons.id, lesson))
  return row ? takenTogether(plan, lesson, { ...NEW_TOGETHER, ...row.body }) : plan
}
