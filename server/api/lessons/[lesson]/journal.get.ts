import { lessonRoute } from '../../../access/route'
import { listOtherEvents } from '../../../database/announcing'

/** What happened besides the rows of the record, for the journal. */
export default lessonRoute<'GET /api/lessons/[lesson]/journal'>({}, async ({ database, lesson }) => ({
  events: await listOtherEvents(database, lesson.id),
}))
