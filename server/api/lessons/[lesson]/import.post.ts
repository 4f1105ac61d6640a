import { randomUUID } from 'node:crypto'
import { readImport } from '../../../../core/formats'
import { importSchema } from '../../../../schemas/requests'
import { lessonRoute } from '../../../access/route'
import { listRows } from '../../../record/rows'
import { writeRows } from '../../../record/write'
import { ROW_KINDS } from '../../../../core/lesson'

/** Takes the readings of a foreign table in, as its columns were matched; what cannot be read is passed over and counted. */
export default lessonRoute<'POST /api/lessons/[lesson]/import'>(
  { body: importSchema, large: 'table' },
  async ({ database, lesson, body }) => {
    const cells = readImport(lesson.plan, body.rows, body.choices, await listRows(database, ROW_KINDS.reading, lesson.id))
    const readings = cells.flatMap(({ reading }) =>
      reading ? [{ ...reading, id: randomUUID(), practice: false, confirmed: false, supersedes: null }] : [],
    )
    const { added } =
      readings.length === 0
        ? { added: 0 }
        : await writeRows(database, lesson, ROW_KINDS.reading, readings, { by: 'import', at: new Date().toISOString() })
    return { added, skipped: cells.length - added }
  },
)
