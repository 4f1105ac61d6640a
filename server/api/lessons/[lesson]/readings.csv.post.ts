import { csvRefusal } from '../../../../core/wording'
import { textFileSchema } from '../../../../schemas/requests'
import { Refusal } from '../../../access/refusal'
import { lessonRoute } from '../../../access/route'
import { readBeside } from '../../../files/readBeside'
import { addRows } from '../../../record/write'
import { ROW_KINDS } from '../../../../core/lesson'

/** Takes readings in from CSV, all or none; rows that are there already are passed over. */
export default lessonRoute<'POST /api/lessons/[lesson]/readings.csv'>(
  { body: textFileSchema, large: 'table' },
  async ({ database, lesson, body }) => {
    const read = await readBeside({ task: 'readings', plan: lesson.plan, text: body.text, now: new Date().toISOString() })
    if (!read.ok) {
      const [first, ...rest] = read.problems
      throw new Refusal(400, {
        code: `table-${first!.code}`,
        message: csvRefusal([first!, ...rest]),
        field: `line ${first!.line}${first!.column ? `, ${first!.column}` : ''}`,
      })
    }
    const { added } = await addRows(database, lesson, ROW_KINDS.reading, read.readings)
    return { added, alreadyThere: read.readings.length - added }
  },
)
