import { setResponseHeader } from 'h3'
import { lessonRoute } from '../../../access/route'
import { attachment } from '../../../files/attachment'
import { wholeFile } from '../../../files/wholeFile'

/** The lesson as a file to keep or to open elsewhere. */
export default lessonRoute<'GET /api/lessons/[lesson]/file'>({}, async ({ event, database, lesson }) => {
  setResponseHeader(event, 'content-type', 'application/json; charset=utf-8')
  setResponseHeader(event, 'content-disposition', attachment(lesson.plan, 'beaker.json'))
  return JSON.stringify(await wholeFile(database, lesson.id, new Date().toISOString()), null, 1)
})
