import { newReadingsSchema } from '../../../schemas/record'
import { Refusal } from '../../access/refusal'
import { stationRoute } from '../../access/route'
import { writeReadings } from '../../lesson/writeReadings'

/** Readings of the station's own group. */
export default stationRoute({ body: newReadingsSchema }, ({ database, lesson, station, body }) => {
  if (body.readings.some((reading) => reading.group !== station.group)) {
    throw new Refusal(403, {
      code: 'other-group',
      message: 'A station writes for its own group only. Join again to change groups.',
      field: 'readings',
    })
  }
  return writeReadings(database, lesson, body.readings, 'station')
})
