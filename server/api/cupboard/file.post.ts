import { randomUUID } from 'node:crypto'
import { cupboardRefusal } from '../../../core/wording'
import { MOST_IN_LIBRARY } from '../../../schemas/library'
import { textFileSchema } from '../../../schemas/requests'
import { refusal, Refusal } from '../../access/refusal'
import { deskRoute } from '../../access/route'
import { countThings, importThings } from '../../database/cupboard'
import { readBeside } from '../../files/readBeside'

/** Takes in a table of things. A table with anything wrong in it changes nothing; the answer says what and where. */
export default deskRoute<'POST /api/cupboard/file'>({ body: textFileSchema, large: 'table' }, async ({ database, body }) => {
  const read = await readBeside({ task: 'cupboard', text: body.text })
  if (read.ok && (await countThings(database)) + read.things.length > MOST_IN_LIBRARY.things)
    throw refusal(409, 'too-many-rows', 'text', { most: MOST_IN_LIBRARY.things })
  if (read.ok) return importThings(database, read.things, randomUUID)
  const [first] = read.problems
  throw new Refusal(400, {
    code: `csv-${first!.code}`,
    message: cupboardRefusal(read.problems),
    field: first!.column || 'text',
  })
})
