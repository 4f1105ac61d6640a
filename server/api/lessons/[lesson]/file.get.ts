import { setResponseHeader } from 'h3'
import { writeLessonFile } from '../../../../core/formats'
import { lessonRoute } from '../../../access/route'
import { notFound } from '../../../access/refusal'
import { loadLesson } from '../../../database/lessons'
import { attachment } from '../../../lesson/attachment'

/** The lesson as a file to keep or to open elsewhere. */
export default lessonRoute({}, async ({ event, database, lesson }) => {
  const whole = await loadLesson(database, lesson.id)
  if (!whole) throw notFound('lesson')
  setResponseHeader(event, 'content-type', 'application/json; charset=utf-8')
  setResponseHeader(event, 'content-disposition', attachment(lesson.plan, 'beaker.json'))
  return JSON.stringify(writeLessonFile(whole.lesson.plan, whole.record, new Date().toISOString()), null, 1)
})
