import { randomUUID } from 'node:crypto'
import { count, desc, eq } from 'drizzle-orm'
import { migratePlan } from '../../core/formats'
import { PLAN_VERSION } from '../../core/lesson'
import { MOST_IN_LIBRARY } from '../../schemas/library'
import type { PlanForAll, StartingPoint } from '../../core/test'
import type { Database } from './open'
import { startingPoints } from './schema'

/** A lesson that somebody kept for others to begin from. */
export interface OwnStartingPoint {
  id: string
  desk: string | null
  body: StartingPoint
}

/** All that the school has kept, the newest first. */
export async function listStartingPoints(database: Database): Promise<OwnStartingPoint[]> {
  return (await database.select().from(startingPoints).orderBy(desc(startingPoints.createdAt))).map(stored)
}

export async function findStartingPoint(database: Database, id: string): Promise<OwnStartingPoint | undefined> {
  const [row] = await database.select().from(startingPoints).where(eq(startingPoints.id, id))
  return row && stored(row)
}

/** No more than a backup can hold; undefined where there is no room left. */
export async function addStartingPoint(
  database: Database,
  body: StartingPoint,
  desk: string | null,
  id: string = randomUUID(),
): Promise<string | undefined> {
  const [kept] = await database.select({ all: count() }).from(startingPoints)
  if ((kept?.all ?? 0) >= MOST_IN_LIBRARY.startingPoints) return undefined
  const row = { id, desk, schemaVersion: PLAN_VERSION, body, createdAt: new Date() }
  await database.insert(startingPoints).values(row).onConflictDoNothing()
  return id
}

export async function removeStartingPoint(database: Database, id: string): Promise<void> {
  await database.delete(startingPoints).where(eq(startingPoints.id, id))
}

/** What was kept under an older shape of plans is brought up to date as it is read. */
function stored({ id, desk, schemaVersion, body }: typeof startingPoints.$inferSelect): OwnStartingPoint {
  return { id, desk, body: { ...body, plan: migratePlan(body.plan, schemaVersion) as PlanForAll } }
}
