import type { Observation } from '../../core/lesson'
import { addObservation } from '../database/observations'
import type { Database } from '../database/open'
import type { StoredLesson } from '../database/lessons'
import { checkPlaces, idTaken } from './checkRows'

/** Keeps what a group saw, of a group and a condition that are in the plan. */
export async function writeObservation(
  database: Database,
  lesson: StoredLesson,
  observation: Observation,
): Promise<{ observation: Observation }> {
  const { group, condition } = observation
  checkPlaces(lesson.plan, [{ group, conditions: condition === null ? [] : [condition] }])
  const result = await addObservation(database, lesson.id, observation)
  if (!result.ok) throw idTaken()
  return { observation: result.observation }
}
