import { writeCupboardCsv } from '../../../core/formats'
import { deskRoute } from '../../access/route'
import { listThings } from '../../database/cupboard'
import { asCsvFile } from '../../files/csv'

/** The cupboard as CSV. */
export default deskRoute<'GET /api/cupboard/file'>({}, async ({ database, event }) => {
  return asCsvFile(event, 'attachment; filename="cupboard.csv"', writeCupboardCsv(await listThings(database)))
})
