import { setResponseHeader } from 'h3'
import { writeCupboardCsv } from '../../../core/formats'
import { deskRoute } from '../../access/route'
import { listThings } from '../../database/cupboard'

/** The cupboard as CSV. */
export default deskRoute<'GET /api/cupboard/file'>({}, async ({ database, event }) => {
  setResponseHeader(event, 'content-type', 'text/csv; charset=utf-8')
  setResponseHeader(event, 'content-disposition', 'attachment; filename="cupboard.csv"')
  return writeCupboardCsv(await listThings(database))
})
