import { tableFileSchema } from '../../../schemas/requests'
import { refusal } from '../../access/refusal'
import { deskRoute } from '../../access/route'
import { readBeside } from '../../files/readBeside'

/** A table out of a file, CSV or spreadsheet, as rows of cells to look at. Nothing is stored. */
export default deskRoute<'POST /api/tables'>({ body: tableFileSchema, large: 'table' }, async ({ body }) => {
  const read = await readBeside({ task: 'cells', bytes: Buffer.from(body.data, 'base64') })
  if (!read.ok) throw refusal(400, read.code, 'data')
  return { rows: read.rows }
})
