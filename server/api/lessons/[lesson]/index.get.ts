import { lessonRoute } from '../../../access/route'
import { notFound } from '../../../access/refusal'
import { loadLesson } from '../../../record/wholeLesson'

/** The whole lesson for the desk, and the number of the last event in it. */
export default lessonRoute<'GET /api/lessons/[lesson]'>({}, async ({ database, lesson }) => {
  const whole = await loadLesson(database, lesson.id)
  if (!whole) throw notFound('lesson')
  return whole
})
