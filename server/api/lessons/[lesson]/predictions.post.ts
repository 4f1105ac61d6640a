import { newPredictionSchema } from '../../../../schemas/record'
import { lessonRoute } from '../../../access/route'
import { writePrediction } from '../../../lesson/writePrediction'

/** A group's prediction, taken at the desk. */
export default lessonRoute({ body: newPredictionSchema }, ({ database, lesson, body }) =>
  writePrediction(database, lesson, body, 'desk'),
)
