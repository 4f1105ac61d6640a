import { and, count, eq, inArray } from 'drizzle-orm'
import type { Database } from './open'
import { pictures } from './schema'

export interface StoredPicture {
  id: string
  type: string
  bytes: Uint8Array
}

export async function findPicture(database: Database, lesson: string, id: string): Promise<StoredPicture | undefined> {
  const [row] = await database
    .select()
    .from(pictures)
    .where(and(eq(pictures.lesson, lesson), eq(pictures.id, id)))
  return row
}

/** The pictures that a plan names, in its order. */
export async function listPictures(database: Database, lesson: string, ids: string[]): Promise<StoredPicture[]> {
  if (ids.length === 0) return []
  const rows = await database
    .select()
    .from(pictures)
    .where(and(eq(pictures.lesson, lesson), inArray(pictures.id, ids)))
  return rows.sort((a, b) => ids.indexOf(a.id) - ids.indexOf(b.id))
}

export async function countPictures(database: Database, lesson: string): Promise<number> {
  const [row] = await database.select({ count: count() }).from(pictures).where(eq(pictures.lesson, lesson))
  return row?.count ?? 0
}

/** Stores a picture beside a lesson's plan. Sending twice stores once. */
export async function addPicture(database: Database, lesson: string, picture: StoredPicture): Promise<void> {
  await database
    .insert(pictures)
    .values({ ...picture, lesson, at: new Date() })
    .onConflictDoNothing()
}
