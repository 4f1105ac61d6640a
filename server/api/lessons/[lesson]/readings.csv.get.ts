import { setResponseHeader } from 'h3'
import { writeReadingsCsv } from '../../../../core/formats'
import { lessonRoute } from '../../../access/route'
import { listReadings } from '../../../database/readings'
import { attachment } from '../../../lesson/attachment'

/** Every reading as a row of CSV. */
export default lessonRoute({}, async ({ event, database, lesson }) => {
  setResponseHeader(event, 'content-type', 'text/csv; charset=utf-8')
  setResponseHeader(event, 'content-disposition', attachment(lesson.plan, 'csv'))
  return writeReadingsCsv(lesson.plan, await listReadings(database, lesson.id))
})
