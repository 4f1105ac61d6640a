import { lessonRoute } from '../../../access/route'
import { schoolFor } from '../../../views/school'

/** The cupboard, what other lessons have booked, and the calendar of the lesson's class. */
export default lessonRoute<'GET /api/lessons/[lesson]/school'>({}, async ({ database, lesson }) => ({
  school: (await schoolFor(database))(lesson.id, lesson.plan.className),
}))
