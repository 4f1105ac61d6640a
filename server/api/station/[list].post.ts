import { stationBodySchemas } from '../../../schemas/rows'
import { readJsonBody } from '../../access/body'
import { atStation, checked, guarded, stationOf } from '../../access/route'
import { useDatabase } from '../../database/connection'
import { answerFor, rowsIn } from '../../record/answer'
import { kindOf } from '../../record/kindOf'
import { saidByStation } from '../../record/station'
import { writeRows } from '../../record/write'

/** Rows of any kind that a station writes for its own group. */
export default guarded(async (event) => {
  const first = await stationOf(event)
  const kind = kindOf(event, 'station')
  const body = checked<object>(stationBodySchemas[kind.list], await readJsonBody(event, 'plain'))
  const database = await useDatabase()
  return atStation(event, first, async ({ lesson, station, entered }) => {
    const rows = await saidByStation(database, kind, rowsIn(kind, body), station)
    return answerFor(kind, body, await writeRows(database, lesson, kind, rows, { by: 'station', at: entered }))
  })
})
