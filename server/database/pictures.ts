import { and, count, eq, inArray, isNull, sql } from 'drizzle-orm'
import type { Database } from './open'
import { pictures, stations } from './schema'

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

/** The ids of pictures that stations of these groups sent. */
export async function picturesOfGroups(database: Database, lesson: string, groups: string[]): Promise<string[]> {
  const rows = await database
    .select({ id: pictures.id })
    .from(pictures)
    .innerJoin(stations, eq(stations.id, pictures.station))
    .where(and(eq(pictures.lesson, lesson), eq(stations.lesson, lesson), inArray(stations.group, groups)))
  return rows.map(({ id }) => id)
}

/** How many pictures a lesson keeps and how large they are together; of one sender alone, where it is named (null is the desk). */
export async function weighPictures(
  database: Database,
  lesson: string,
  station?: string | null,
): Promise<{ count: number; bytes: number }> {
  const sender = station === undefined ? undefined : station === null ? isNull(pictures.station) : eq(pictures.station, station)
  const [row] = await database
    .select({ count: count(), bytes: sql<number>`coalesce(sum(octet_length(${pictures.bytes})), 0)::float` })
    .from(pictures)
    .where(and(eq(pictures.lesson, lesson), sender))
  return row ?? { count: 0, bytes: 0 }
}

/** Stores a picture beside a lesson's plan. Sending twice stores once. */
export async function addPicture(
  database: Database,
  lesson: string,
  picture: StoredPicture,
  station: string | null = null,
): Promise<void> {
  await database
    .insert(pictures)
    .values({ ...picture, lesson, station, at: new Date() })
    .onConflictDoNothing()
}
