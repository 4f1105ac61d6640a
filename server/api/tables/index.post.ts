import { readCsv } from '../../../core/formats'
import { tableFileSchema } from '../../../schemas/requests'
import { deskRoute } from '../../access/route'
import { spreadsheetRows } from '../../files/spreadsheet'

const ZIP = [0x50, 0x4b]

/** A table out of a file, CSV or spreadsheet, as rows of cells to look at. Nothing is stored. */
export default deskRoute<'POST /api/tables'>({ body: tableFileSchema, large: 'file' }, async ({ body }) => {
  const bytes = Buffer.from(body.data, 'base64')
  const zipped = ZIP.every((byte, place) => bytes[place] === byte)
  return { rows: zipped ? await spreadsheetRows(bytes) : readCsv(decoded(bytes)) }
})

/** UTF-8 as a rule; a table from an older spreadsheet may be in Windows' own letters. */
function decoded(bytes: Buffer): string {
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes)
  } catch {
    return new TextDecoder('windows-1252').decode(bytes)
  }
}
