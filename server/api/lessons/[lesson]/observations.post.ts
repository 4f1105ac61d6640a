import { newObservationSchema } from '../../../../schemas/record'
import { lessonRoute } from '../../../access/route'
import { writeObservation } from '../../../lesson/writeObservation'

/** What was seen, written down at the desk. */
export default lessonRoute({ body: newObservationSchema }, ({ database, lesson, body }) =>
  writeObservation(database, lesson, { ...body, by: 'desk', at: new Date().toISOString() }),
)
