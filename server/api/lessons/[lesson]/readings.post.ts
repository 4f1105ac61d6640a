import { newReadingsSchema } from '../../../../schemas/record'
import { lessonRoute } from '../../../access/route'
import { writeReadings } from '../../../lesson/writeReadings'

/** Readings keyed in, corrected or set aside at the desk. */
export default lessonRoute({ body: newReadingsSchema }, ({ database, lesson, body }) =>
  writeReadings(database, lesson, body.readings, 'desk'),
)
