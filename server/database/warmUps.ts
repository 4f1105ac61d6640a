import { count, desc, eq } from 'drizzle-orm'
import type { Database } from './open'
import { warmUps } from './schema'

/** So many tries of a lesson are kept; more would teach nothing new. */
const MOST = 2000

/** Keeps a try at reading a scale, without anybody's name. */
export async function addWarmUp(database: Database, lesson: string, error: number): Promise<void> {
  const [row] = await database.select({ tries: count() }).from(warmUps).where(eq(warmUps.lesson, lesson))
  if ((row?.tries ?? 0) < MOST) await database.insert(warmUps).values({ lesson, error })
}

/** All tries of a lesson, in marks. */
export async function listWarmUps(database: Database, lesson: string): Promise<number[]> {
  const rows = await database
    .select({ error: warmUps.error })
    .from(warmUps)
    .where(eq(warmUps.lesson, lesson))
    .orderBy(desc(warmUps.number))
    .limit(MOST)
  return rows.map(({ error }) => error)
}
