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
 * supersede only one of the same lesson and group. What comes in while the database is busy goes into the next transaction
 * together: a class that writes all at once needs few of them.
 */
export function addReadings(database: Database, lesson: string, rows: Reading[]): Promise<AddResult> {
  return new Promise((resolve, reject) => {
    const line = lines.get(lesson)
    if (line) line.push({ rows, resolve, reject })
    else {
      lines.set(lesson, [{ rows, resolve, reject }])
      void writeLine(database, lesson)
    }
  })
}

interface Waiting {
  rows: Reading[]
  resolve(result: AddResult): void
  reject(error: unknown): void
}

const MOST_TOGETHER = 50
/** What waits to be written, by lesson; a lesson has a line as long as one of its transactions runs. */
const lines = new Map<string, Waiting[]>()

async function writeLine(database: Database, lesson: string): Promise<void> {
  for (let line = lines.get(lesson)!; line.length > 0; line = lines.get(lesson)!) {
    // The embedded database holds the thread until a transaction is over: whoever knocked meanwhile is heard first.
    await new Promise((heard) => setImmediate(heard))
    const together = line.splice(0, MOST_TOGETHER)
    const whole =
      together.length === 1
        ? undefined
        : await writeRows(
            database,
            lesson,
            together.flatMap(({ rows }) => rows),
          ).catch(() => undefined)
    if (whole?.ok) {
      const added = new Set(whole.added.map(({ id }) => id))
      for (const { rows, resolve } of together) resolve({ ok: true, added: rows.filter(({ id }) => added.has(id)) })
    } else {
      // Something in it cannot be stored: one by one, so that it stops nobody else.
      for (const { rows, resolve, reject } of together) await writeRows(database, lesson, rows).then(resolve, reject)
    }
  }
  lines.delete(lesson)
}

function writeRows(database: Database, lesson: string, rows: Reading[]): Promise<AddResult> {
  return storeAndAnnounce(database, lesson, async (transaction, record) => {
    const written = await transaction
      .insert(readings)
      .values(rows.map((row) => ({ ...row, lesson, at: new Date(row.at) })))
      .onConflictDoNothing({ target: readings.id })
      .returning({ id: readings.id })
    const fresh = new Set(written.map(({ id }) => id))
    const trouble = await troubleOf(transaction, lesson, rows, fresh)
    if (trouble) throw trouble
    const added = rows.filter(({ id }) => fresh.has(id))
    await record(added.map((reading) => ({ kind: 'reading', reading })))
    return { ok: true, added } satisfies AddResult
  }).catch((error: unknown) => {
    if (error instanceof NotAdded) return error.result
    throw error
  })
}

/** Thrown inside the transaction, so that nothing of it stays. */
class NotAdded extends Error {
  constructor(readonly result: AddResult) {
    super(result.ok ? '' : result.code)
  }
}

/** A row whose id another lesson has, or that corrects one which is not of this lesson and group. */
async function troubleOf(
  transaction: Database,
  lesson: string,
  rows: Reading[],
  fresh: Set<string>,
): Promise<NotAdded | undefined> {
  const looked = rows.flatMap(({ id, supersedes }) => [
    ...(fresh.has(id) ? [] : [id]),
    ...(supersedes === null ? [] : [supersedes]),
  ])
  if (looked.length === 0) return undefined
  const stored = await transaction
    .select({ id: readings.id, lesson: readings.lesson, group: readings.group })
    .from(readings)
    .where(inArray(readings.id, looked))
  const taken = stored.find((row) => row.lesson !== lesson && rows.some(({ id }) => id === row.id))
  if (taken) return new NotAdded({ ok: false, code: 'id-taken', reading: taken.id })
  const groupOf = new Map(stored.filter((row) => row.lesson === lesson).map((row) => [row.id, row.group]))
  const lost = rows.find(({ supersedes, group }) => supersedes !== null && groupOf.get(supersedes) !== group)
  return lost && new NotAdded({ ok: false, code: 'supersedes-unknown', reading: lost.id })
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
