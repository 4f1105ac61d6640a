import { asc, eq } from 'drizzle-orm'
import { WHOLE_CLASS, type Prediction } from '../../core/lesson'
import { storeAndAnnounce } from './events'
import type { Database } from './open'
import { hasCountedReading } from './readings'
import { predictions } from './schema'

export type PredictionResult = { ok: true; prediction: Prediction } | { ok: false; code: 'id-taken' }

export async function listPredictions(database: Database, lesson: string): Promise<Prediction[]> {
  const rows = await database.select().from(predictions).where(eq(predictions.lesson, lesson)).orderBy(asc(predictions.sequence))
  return rows.map(toPrediction)
}

/** Stamps a prediction. After the group's first counted reading (the class's first, for the whole class) it is kept as a change of mind. Sending twice stores once. */
export async function addPrediction(
  database: Database,
  lesson: string,
  prediction: Omit<Prediction, 'late'>,
): Promise<PredictionResult> {
  return storeAndAnnounce(database, lesson, async (transaction, record) => {
    const [stored] = await transaction.select().from(predictions).where(eq(predictions.id, prediction.id))
    if (stored) return stored.lesson === lesson ? { ok: true, prediction: toPrediction(stored) } : { ok: false, code: 'id-taken' }
    const late = await hasCountedReading(transaction, lesson, prediction.group === WHOLE_CLASS ? undefined : prediction.group)
    const row: Prediction = { ...prediction, late }
    await transaction.insert(predictions).values({ ...row, lesson, at: new Date(row.at) })
    await record([{ kind: 'prediction', prediction: row }])
    return { ok: true, prediction: row }
  })
}

export function toPrediction(row: typeof predictions.$inferSelect): Prediction {
  const { lesson: _lesson, sequence: _sequence, at, ...prediction } = row
  return { ...prediction, at: at.toISOString() }
}
