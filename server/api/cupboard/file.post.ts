import { randomUUID } from 'node:crypto'
import { readCupboardCsv } from '../../../core/formats'
import { cupboardRefusal } from '../../../core/wording'
import { textFileSchema } from '../../../schemas/requests'
import { Refusal } from '../../access/refusal'
import { deskRoute } from '../../access/route'
import { importThings } from '../../database/cupboard'

/** Takes in a table of things. A table with anything wrong in it changes nothing; the answer says what and where. */
export default deskRoute<'POST /api/cupboard/file'>({ body: textFileSchema, large: 'file' }, async ({ database, body }) => {
  const read = readCupboardCsv(body.text)
  if (read.ok) return importThings(database, read.things, randomUUID)
  const [first] = read.problems
  throw new Refusal(400, {
    code: `csv-${first!.code}`,
    message: cupboardRefusal(read.problems),
    field: first!.column || 'text',
  })
})
