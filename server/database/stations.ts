import { createHash, randomBytes, randomUUID } from 'node:crypto'
import { and, asc, eq, inArray } from 'drizzle-orm'
import type { StationEvent } from '../../core/lesson'
import { storeAndAnnounce } from './announcing'
import { Known } from './known'
import type { Database } from './open'
import { stations } from './schema'

export interface Station {
  id: string
  lesson: string
  group: string
  locked: boolean
  at: string
}

const MOST = 120

/**
 * A token for one lesson and one group. Only its hash is kept. In a lesson that has many, the one that joined first and is not
 * there any more gives way, so that nobody who joins again and again locks others out.
 * @param isThere is a station of this lesson at its page at this moment
 */
export async function addStation(
  database: Database,
  { lesson, group }: { lesson: string; group: string },
  isThere: (station: string) => boolean,
): Promise<string> {
  const token = randomBytes(32).toString('hex')
  const id = randomUUID()
  await storeAndAnnounce(database, lesson, async (transaction, record) => {
    const joined = await listStations(transaction, lesson)
    const givesWay = joined.length < MOST ? undefined : (joined.find((one) => !isThere(one.id)) ?? joined[0])
    if (givesWay) {
      await transaction.delete(stations).where(eq(stations.id, givesWay.id))
      await record([{ kind: 'station', change: 'removed', station: givesWay.id, group: givesWay.group }])
    }
    await transaction.insert(stations).values({ tokenHash: hashOf(token), id, lesson, group, at: new Date() })
    await record([{ kind: 'station', change: 'joined', station: id, group }])
  })
  knownStations.forgetAll()
  return token
}

/** The stations of these groups go along with them into another lesson: within a transaction of `changeTogether`, which has them looked up anew. */
export async function moveStations(database: Database, from: string, to: string, groups: string[]): Promise<void> {
  await database
    .update(stations)
    .set({ lesson: to })
    .where(and(eq(stations.lesson, from), inArray(stations.group, groups)))
}

export const knownStations = new Known<Station>()

export function findStation(database: Database, token: string): Promise<Station | undefined> {
  const hash = hashOf(token)
  return knownStations.find(hash, async () => {
    const [row] = await database.select().from(stations).where(eq(stations.tokenHash, hash))
    return row && toStation(row)
  })
}

/** Is it this lesson's still. */
export async function stationStands(database: Database, lesson: string, { id }: Pick<Station, 'id'>): Promise<boolean> {
  const rows = await database
    .select({ id: stations.id })
    .from(stations)
    .where(and(eq(stations.lesson, lesson), eq(stations.id, id)))
  return rows.length > 0
}

export async function listStations(database: Database, lesson: string): Promise<Station[]> {
  const rows = await database.select().from(stations).where(eq(stations.lesson, lesson)).orderBy(asc(stations.at))
  return rows.map(toStation)
}

/** Moves, locks or lets go on some stations of a lesson, all where none are named; those that are so already are left alone. */
export async function changeStations(
  database: Database,
  lesson: string,
  ids: string[] | undefined,
  change: { group?: string; locked?: boolean },
): Promise<void> {
  await storeAndAnnounce(database, lesson, async (transaction, record) => {
    const chosen = (await listStations(transaction, lesson)).filter(({ id }) => ids === undefined || ids.includes(id))
    const events: StationEvent[] = []
    for (const { id, group, locked } of chosen) {
      const moves = change.group !== undefined && change.group !== group
      const turns = change.locked !== undefined && change.locked !== locked
      if (!moves && !turns) continue
      await transaction.update(stations).set(change).where(eq(stations.id, id))
      if (moves) events.push({ kind: 'station', change: 'moved', station: id, group, to: change.group })
      if (turns) events.push({ kind: 'station', change: change.locked ? 'locked' : 'unlocked', station: id, group })
    }
    if (events.length > 0) await record(events)
  })
  knownStations.forgetAll()
}

/** Its token opens nothing any more. Answers whether there was such a station. */
export async function removeStation(database: Database, lesson: string, id: string): Promise<boolean> {
  const removed = await storeAndAnnounce(database, lesson, async (transaction, record) => {
    const [row] = await transaction
      .delete(stations)
      .where(and(eq(stations.lesson, lesson), eq(stations.id, id)))
      .returning()
    if (row) await record([{ kind: 'station', change: 'removed', station: id, group: row.group }])
    return row !== undefined
  })
  knownStations.forgetAll()
  return removed
}

function toStation({ tokenHash: _hash, at, ...station }: typeof stations.$inferSelect): Station {
  return { ...station, at: at.toISOString() }
}

function hashOf(token: string): string {
  return createHash('sha256').update(token).digest('hex')
}
