import { lessonRoute } from '../../../access/route'
import { schoolFor } from '../../../lesson/school'

/** The cupboard, what other lessons have booked, and the calendar of the lesson's class. */
export default lessonRoute({}, async ({ database, lesson }) => ({ school: (await schoolFor(database))(lesson) }))
