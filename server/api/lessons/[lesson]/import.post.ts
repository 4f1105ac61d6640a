import { randomUUID } from 'node:crypto'
import { readImport } from '../../../../core/formats'
import { importSchema } from '../../../../schemas/requests'
import { lessonRoute } from '../../../access/route'
import { listReadings } from '../../../database/readings'
import { writeReadings } from '../../../lesson/writeReadings'

/** Takes the readings of a foreign table in, as its columns were matched; what cannot be read is passed over and counted. */
export default lessonRoute({ body: importSchema, large: 'file' }, async ({ database, lesson, body }) => {
  const cells = readImport(lesson.plan, body.rows, body.choices, await listReadings(database, lesson.id))
  const readings = cells.flatMap(({ reading }) =>
    reading ? [{ ...reading, id: randomUUID(), practice: false, confirmed: false, supersedes: null }] : [],
  )
  const { added } = readings.length === 0 ? { added: 0 } : await writeReadings(database, lesson, readings, 'import')
  return { added, skipped: cells.length - added }
})
