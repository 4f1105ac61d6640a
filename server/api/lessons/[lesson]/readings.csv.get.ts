import { ROW_KINDS } from '../../../../core/lesson'
import { setResponseHeader } from 'h3'
import { writeReadingsCsv } from '../../../../core/formats'
import { lessonRoute } from '../../../access/route'
import { attachment } from '../../../files/attachment'
import { listRows } from '../../../record/rows'

/** Every reading as a row of CSV. */
export default lessonRoute<'GET /api/lessons/[lesson]/readings.csv'>({}, async ({ event, database, lesson }) => {
  setResponseHeader(event, 'content-type', 'text/csv; charset=utf-8')
  setResponseHeader(event, 'content-disposition', attachment(lesson.plan, 'csv'))
  return writeReadingsCsv(lesson.plan, await listRows(database, ROW_KINDS.reading, lesson.id))
})
