import { WHOLE_CLASS, type Prediction, type Source } from '../../core/lesson'
import type { NewPrediction } from '../../schemas/record'
import type { StoredLesson } from '../database/lessons'
import type { Database } from '../database/open'
import { addPrediction } from '../database/predictions'
import { checkPlaces, idTaken } from './checkRows'

/** Stamps a prediction with the time it was made at. */
export async function writePrediction(
  database: Database,
  lesson: StoredLesson,
  prediction: NewPrediction,
  by: Source,
  at = new Date().toISOString(),
): Promise<{ prediction: Prediction }> {
  const { group, order } = prediction
  // The class by hands up is nobody's station: only the desk counts it.
  const counted = group === WHOLE_CLASS && prediction.as === 'hands' && by === 'desk'
  checkPlaces(lesson.plan, [{ group: counted ? undefined : group, conditions: order }])
  const result = await addPrediction(database, lesson.id, { ...prediction, by, at })
  if (!result.ok) throw idTaken()
  return { prediction: result.prediction }
}
