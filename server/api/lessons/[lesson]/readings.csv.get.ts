import { ROW_KINDS } from '../../../../core/lesson'
import { writeReadingsCsv } from '../../../../core/formats'
import { lessonRoute } from '../../../access/route'
import { attachment } from '../../../files/attachment'
import { asCsvFile } from '../../../files/csv'
import { listRows } from '../../../record/rows'

/** Every reading as a row of CSV. */
export default lessonRoute<'GET /api/lessons/[lesson]/readings.csv'>({}, async ({ event, database, lesson }) => {
  const readings = await listRows(database, ROW_KINDS.reading, lesson.id)
  return asCsvFile(event, attachment(lesson.plan, 'csv'), writeReadingsCsv(lesson.plan, readings))
})
