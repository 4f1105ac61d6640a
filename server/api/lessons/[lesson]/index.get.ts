import { lessonRoute } from '../../../access/route'
import { notFound } from '../../../access/refusal'
import { wholeOf } from '../../../database/togethers'
import { loadLesson } from '../../../record/wholeLesson'

/** The whole lesson for the desk, and the number of the last event in it. */
export default lessonRoute<'GET /api/lessons/[lesson]'>({}, async ({ database, lesson }) => {
  const whole = await loadLesson(database, lesson.id)
  if (!whole) throw notFound('lesson')
  const [first] = (await wholeOf(database, whole.lesson))?.lessons ?? []
  return { ...whole, partOf: first ? { id: first.id, title: first.plan.title } : null }
})
