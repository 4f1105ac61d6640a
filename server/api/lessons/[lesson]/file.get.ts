import { setResponseHeader } from 'h3'
import { writeLessonFile } from '../../../../core/formats'
import { namedPictures } from '../../../../core/lesson'
import { lessonRoute } from '../../../access/route'
import { notFound } from '../../../access/refusal'
import { loadLesson } from '../../../database/lessons'
import { listPictures } from '../../../database/pictures'
import { attachment } from '../../../lesson/attachment'
import { pictureAddress } from '../../../lesson/pictureBytes'

/** The lesson as a file to keep or to open elsewhere. */
export default lessonRoute({}, async ({ event, database, lesson }) => {
  const whole = await loadLesson(database, lesson.id)
  if (!whole) throw notFound('lesson')
  setResponseHeader(event, 'content-type', 'application/json; charset=utf-8')
  setResponseHeader(event, 'content-disposition', attachment(lesson.plan, 'beaker.json'))
  const { plan } = whole.lesson
  const named = namedPictures(plan, whole.record.observations)
  const pictures = (await listPictures(database, lesson.id, named)).map(pictureAddress)
  return JSON.stringify(writeLessonFile(plan, whole.record, pictures, new Date().toISOString()), null, 1)
})
