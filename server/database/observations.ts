import { asc, eq } from 'drizzle-orm'
import type { Observation } from '../../core/lesson'
import { storeAndAnnounce } from './events'
import type { Database } from './open'
import { observations } from './schema'

export type ObservationResult = { ok: true; observation: Observation } | { ok: false; code: 'id-taken' }

export async function listObservations(database: Database, lesson: string): Promise<Observation[]> {
  const rows = await database.select().from(observations).where(eq(observations.lesson, lesson)).orderBy(asc(observations.sequence))
  return rows.map(toObservation)
}

/** Keeps what a group saw. Sending twice stores once. */
export async function addObservation(database: Database, lesson: string, observation: Observation): Promise<ObservationResult> {
  return storeAndAnnounce(database, lesson, async (transaction, record) => {
    const [stored] = await transaction.select().from(observations).where(eq(observations.id, observation.id))
    if (stored) return stored.lesson === lesson ? { ok: true, observation: toObservation(stored) } : { ok: false, code: 'id-taken' }
    await transaction.insert(observations).values({ ...observation, lesson, at: new Date(observation.at) })
    await record([{ kind: 'observation', observation }])
    return { ok: true, observation }
  })
}

export function toObservation(row: typeof observations.$inferSelect): Observation {
  const { lesson: _lesson, sequence: _sequence, at, ...observation } = row
  return { ...observation, at: at.toISOString() }
}
