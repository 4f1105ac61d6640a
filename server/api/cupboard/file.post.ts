import { randomUUID } from 'node:crypto'
import { readCupboardCsv } from '../../../core/formats'
import { cupboardProblemWords } from '../../../core/wording'
import { textFileSchema } from '../../../schemas/requests'
import { Refusal } from '../../access/refusal'
import { deskRoute } from '../../access/route'
import { importThings } from '../../database/cupboard'

const MOST_SAID = 5

/** Takes in a table of things. A table with anything wrong in it changes nothing; the answer says what and where. */
export default deskRoute({ body: textFileSchema, large: 'file' }, async ({ database, body }) => {
  const read = readCupboardCsv(body.text)
  if (read.ok) return importThings(database, read.things, randomUUID)
  const said = read.problems.slice(0, MOST_SAID).map(cupboardProblemWords)
  const more = read.problems.length - said.length
  throw new Refusal(400, {
    code: `csv-${read.problems[0]!.code}`,
    message: `${said.join(' ')}${more > 0 ? ` And ${more} more.` : ''} Nothing was changed.`,
    field: read.problems[0]!.column || 'text',
  })
})
