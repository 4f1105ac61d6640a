import { lessonRoute } from '../../../access/route'
import { addLesson } from '../../../database/lessons'

/** The plan once more, without readings, day and acknowledged cautions. */
export default lessonRoute({}, async ({ database, lesson }) => {
  const title = lesson.plan.title === '' ? '' : `${lesson.plan.title} (copy)`.slice(0, 200)
  return { id: (await addLesson(database, { ...lesson.plan, title, date: '', cautionsAcknowledged: [] })).id }
})
