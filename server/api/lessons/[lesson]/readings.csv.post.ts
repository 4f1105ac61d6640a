import { randomUUID } from 'node:crypto'
import { readReadingsCsv } from '../../../../core/formats'
import { csvProblemWords } from '../../../../core/wording'
import { textFileSchema } from '../../../../schemas/requests'
import { Refusal } from '../../../access/refusal'
import { lessonRoute } from '../../../access/route'
import { addReadings } from '../../../database/readings'
import { idTaken } from '../../../lesson/checkRows'

/** Takes readings in from CSV, all or none; rows that are there already are passed over. */
export default lessonRoute({ body: textFileSchema, large: 'file' }, async ({ database, lesson, body }) => {
  const read = readReadingsCsv(lesson.plan, body.text, randomUUID, new Date().toISOString())
  if (!read.ok) {
    const [first, ...rest] = read.problems
    const more =
      rest.length > 0 ? ` There ${rest.length === 1 ? 'is 1 more problem' : `are ${rest.length} more problems`} like it.` : ''
    throw new Refusal(400, {
      code: `table-${first!.code}`,
      message: `${csvProblemWords(first!)}${more} Nothing was taken in; correct the table and choose it again.`,
      field: `line ${first!.line}${first!.column ? `, ${first!.column}` : ''}`,
    })
  }
  const result = await addReadings(database, lesson.id, read.readings)
  if (!result.ok) throw idTaken()
  return { added: result.added.length, alreadyThere: read.readings.length - result.added.length }
})
