import { begunAnew, namedPictures } from '../../../../core/lesson'
import { lessonRoute } from '../../../access/route'
import { listPictures } from '../../../database/pictures'
import { planOfClass } from '../../../record/ownQuestions'
import { addLesson } from '../../../record/wholeLesson'
import { withClassPace } from '../../../views/classPace'

/** The plan once more, without readings, day and acknowledged cautions. */
export default lessonRoute<'POST /api/lessons/[lesson]/duplicate'>({}, async ({ database, lesson }) => {
  const title = lesson.plan.title === '' ? '' : `${lesson.plan.title} (copy)`.slice(0, 200)
  const hook = await listPictures(database, lesson.id, namedPictures(lesson.plan))
  const begun = { ...begunAnew(await planOfClass(database, lesson)), title, date: '', cautionsAcknowledged: [] }
  const plan = await withClassPace(database, begun, lesson.desk)
  return { id: (await addLesson(database, plan, undefined, hook, { desk: lesson.desk })).id }
})
