import { and, count, eq, inArray, isNull, sql } from 'drizzle-orm'
import type { Database } from './open'
import { picturePieces, pictures, stations } from './schema'

export interface StoredPicture {
  id: string
  type: string
  bytes: Uint8Array
}

/** Its bytes as base 64: see schema.ts. */
const WHOLE = { id: pictures.id, type: pictures.type, text: sql<string>`encode(${pictures.bytes}, 'base64')` }
const stored = ({ text, ...row }: { id: string; type: string; text: string }): StoredPicture => ({
  ...row,
  bytes: new Uint8Array(Buffer.from(text, 'base64')),
})

export async function findPicture(database: Database, lesson: string, id: string): Promise<StoredPicture | undefined> {
  const [row] = await database
    .select(WHOLE)
    .from(pictures)
    .where(and(eq(pictures.lesson, lesson), eq(pictures.id, id)))
  return row && stored(row)
}

/** Is a picture kept, without looking at it. */
export async function hasPicture(database: Database, lesson: string, id: string): Promise<boolean> {
  const rows = await database
    .select({ id: pictures.id })
    .from(pictures)
    .where(and(eq(pictures.lesson, lesson), eq(pictures.id, id)))
  return rows.length > 0
}

/** The pictures that a plan names, in its order. */
export async function listPictures(database: Database, lesson: string, ids: string[]): Promise<StoredPicture[]> {
  if (ids.length === 0) return []
  const rows = await database
    .select(WHOLE)
    .from(pictures)
    .where(and(eq(pictures.lesson, lesson), inArray(pictures.id, ids)))
  return rows.map(stored).sort((a, b) => ids.indexOf(a.id) - ids.indexOf(b.id))
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

/** More than this goes in piece by piece: the embedded database holds the thread while it takes in a large picture at once. */
const PIECE = 200_000

/** Stores a picture beside a lesson's plan. Sending twice stores once. */
export async function addPicture(
  database: Database,
  lesson: string,
  { id, type, bytes }: StoredPicture,
  station: string | null = null,
): Promise<void> {
  const row = { lesson, id, type, station, at: new Date() }
  if (bytes.length <= PIECE)
    return void (await database
      .insert(pictures)
      .values({ ...row, bytes })
      .onConflictDoNothing())
  const own = and(eq(picturePieces.lesson, lesson), eq(picturePieces.picture, id))
  await database.delete(picturePieces).where(own)
  for (let from = 0, number = 0; from < bytes.length; from += PIECE, number += 1) {
    await database.insert(picturePieces).values({ lesson, picture: id, number, bytes: bytes.subarray(from, from + PIECE) })
    await new Promise((heard) => setImmediate(heard))
  }
  const whole = sql`(select string_agg(${picturePieces.bytes}, ''::bytea order by ${picturePieces.number}) from ${picturePieces} where ${own})`
  await database
    .insert(pictures)
    .values({ ...row, bytes: whole as never })
    .onConflictDoNothing()
  await database.delete(picturePieces).where(own)
}

/** Of pictures that did not arrive whole. @param database nobody else writes into it */
export async function forgetPieces(database: Database): Promise<void> {
  await database.delete(picturePieces)
}
