import type { Source } from '../../core/lesson'
import type { NewReading } from '../../schemas/record'
import { Refusal } from '../access/refusal'
import type { StoredLesson } from '../database/lessons'
import type { Database } from '../database/open'
import { addReadings } from '../database/readings'
import { checkPlaces, idTaken } from './checkRows'

/** Writes readings down for a lesson with the time they were entered at, and answers how many were new. */
export async function writeReadings(
  database: Database,
  lesson: StoredLesson,
  readings: NewReading[],
  by: Source,
  at = new Date().toISOString(),
): Promise<{ added: number }> {
  checkPlaces(
    lesson.plan,
    readings.map(({ group, condition }) => ({ group, conditions: [condition] })),
  )
  const result = await addReadings(
    database,
    lesson.id,
    readings.map((reading) => ({ ...reading, by, at })),
  )
  if (result.ok) return { added: result.added.length }
  if (result.code === 'id-taken') throw idTaken()
  throw new Refusal(409, {
    code: 'supersedes-unknown',
    message: 'The reading to be corrected is not in this lesson and group. Load the page again.',
    field: 'supersedes',
  })
}
