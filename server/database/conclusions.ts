import { and, asc, eq } from 'drizzle-orm'
import type { Conclusion } from '../../core/lesson'
import { storeAndAnnounce } from './events'
import type { Database } from './open'
import { conclusions } from './schema'

export type ConclusionResult = { ok: true; conclusion: Conclusion } | { ok: false; code: 'id-taken' }

export async function listConclusions(database: Database, lesson: string): Promise<Conclusion[]> {
  const rows = await database.select().from(conclusions).where(eq(conclusions.lesson, lesson)).orderBy(asc(conclusions.sequence))
  return rows.map(toConclusion)
}

/** One wording of a lesson. */
export async function findConclusion(database: Database, lesson: string, id: string): Promise<Conclusion | undefined> {
  const [row] = await database
    .select()
    .from(conclusions)
    .where(and(eq(conclusions.id, id), eq(conclusions.lesson, lesson)))
  return row && toConclusion(row)
}

/** Keeps a further wording of a sentence; the last one stands. Sending twice stores once. */
export async function addConclusion(database: Database, lesson: string, conclusion: Conclusion): Promise<ConclusionResult> {
  return storeAndAnnounce(database, lesson, async (transaction, record) => {
    const [stored] = await transaction.select().from(conclusions).where(eq(conclusions.id, conclusion.id))
    if (stored) return stored.lesson === lesson ? { ok: true, conclusion: toConclusion(stored) } : { ok: false, code: 'id-taken' }
    await transaction.insert(conclusions).values({ ...conclusion, lesson, at: new Date(conclusion.at) })
    await record([{ kind: 'conclusion', conclusion }])
    return { ok: true, conclusion }
  })
}

export function toConclusion(row: typeof conclusions.$inferSelect): Conclusion {
  const { lesson: _lesson, sequence: _sequence, at, ...conclusion } = row
  return { ...conclusion, at: at.toISOString() }
}
