import { and, asc, eq, inArray } from 'drizzle-orm'
import type { Reading } from '../../core/lesson'
import { storeAndAnnounce } from './events'
import type { Database } from './open'
import { readings } from './schema'

export type AddResult = { ok: true; added: Reading[] } | { ok: false; code: 'id-taken' | 'supersedes-unknown'; reading: string }

export async function listReadings(database: Database, lesson: string): Promise<Reading[]> {
  const rows = await database.select().from(readings).where(eq(readings.lesson, lesson)).orderBy(asc(readings.sequence))
  return rows.map(toReading)
}

/**
 * Writes rows down, all or none. A row that is there already is not written again, so that sending twice stores once; a row may
 * supersede only one of the same lesson and group.
 */
export async function addReadings(database: Database, lesson: string, rows: Reading[]): Promise<AddResult> {
  return storeAndAnnounce(database, lesson, async (transaction, record) => {
    const named = rows.flatMap((row) => (row.supersedes === null ? [row.id] : [row.id, row.supersedes]))
    const stored = await transaction.select().from(readings).where(inArray(readings.id, named))
    const known = new Map(stored.map((row) => [row.id, row]))
    const taken = rows.find((row) => known.has(row.id) && known.get(row.id)!.lesson !== lesson)
    if (taken) return { ok: false, code: 'id-taken', reading: taken.id }
    const groupOf = new Map([...stored.filter((row) => row.lesson === lesson), ...rows].map((row) => [row.id, row.group]))
    const lost = rows.find((row) => row.supersedes !== null && groupOf.get(row.supersedes) !== row.group)
    if (lost) return { ok: false, code: 'supersedes-unknown', reading: lost.id }
    const fresh = rows.filter((row) => !known.has(row.id))
    if (fresh.length > 0) {
      await transaction.insert(readings).values(fresh.map((row) => ({ ...row, lesson, at: new Date(row.at) })))
      await record(fresh.map((reading) => ({ kind: 'reading', reading })))
    }
    return { ok: true, added: fresh }
  })
}

/** Has the group, or anybody, a reading that counts. */
export async function hasCountedReading(database: Database, lesson: string, group: string | undefined): Promise<boolean> {
  const [row] = await database
    .select({ id: readings.id })
    .from(readings)
    .where(
      and(eq(readings.lesson, lesson), group === undefined ? undefined : eq(readings.group, group), eq(readings.practice, false)),
    )
    .limit(1)
  return row !== undefined
}

export function toReading(row: typeof readings.$inferSelect): Reading {
  const { lesson: _lesson, sequence: _sequence, at, ...reading } = row
  return { ...reading, at: at.toISOString() }
}
