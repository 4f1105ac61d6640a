import { lessonRoute } from '../../../access/route'
import { listOtherEvents } from '../../../database/events'

/** What happened besides the rows of the record, for the journal. */
export default lessonRoute({}, async ({ database, lesson }) => ({ events: await listOtherEvents(database, lesson.id) }))
