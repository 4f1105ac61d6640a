import { setResponseHeader } from 'h3'
import { writeDataPackage } from '../../../../core/formats'
import { lessonRoute } from '../../../access/route'
import { attachment } from '../../../files/attachment'
import { wholeFile } from '../../../files/wholeFile'

/** The lesson as a data package: tables with their description, and the lesson file, in one zip. */
export default lessonRoute<'GET /api/lessons/[lesson]/package'>({}, async ({ event, database, lesson }) => {
  setResponseHeader(event, 'content-type', 'application/zip')
  setResponseHeader(event, 'content-disposition', attachment(lesson.plan, 'data.zip'))
  return Buffer.from(writeDataPackage(await wholeFile(database, lesson.id, new Date().toISOString())))
})
