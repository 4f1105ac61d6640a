import { asc, eq } from 'drizzle-orm'
import type { SaidRemark } from '../../core/lesson'
import { storeAndAnnounce } from './events'
import type { Database } from './open'
import { remarks } from './schema'

export type RemarkResult = { ok: true; remark: SaidRemark } | { ok: false; code: 'id-taken' }

export async function listRemarks(database: Database, lesson: string): Promise<SaidRemark[]> {
  const rows = await database.select().from(remarks).where(eq(remarks.lesson, lesson)).orderBy(asc(remarks.sequence))
  return rows.map(toRemark)
}

/** Keeps what a group said. Sending twice stores once. */
export async function addRemark(database: Database, lesson: string, remark: SaidRemark): Promise<RemarkResult> {
  return storeAndAnnounce(database, lesson, async (transaction, record) => {
    const [stored] = await transaction.select().from(remarks).where(eq(remarks.id, remark.id))
    if (stored) return stored.lesson === lesson ? { ok: true, remark: toRemark(stored) } : { ok: false, code: 'id-taken' }
    await transaction.insert(remarks).values({ ...remark, lesson, at: new Date(remark.at) })
    await record([{ kind: 'remark', remark }])
    return { ok: true, remark }
  })
}

export function toRemark(row: typeof remarks.$inferSelect): SaidRemark {
  const { lesson: _lesson, sequence: _sequence, at, ...remark } = row
  return { ...remark, at: at.toISOString() }
}
