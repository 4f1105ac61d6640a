import { newReadingsSchema } from '../../../schemas/record'
import { otherGroup, stationRoute } from '../../access/route'
import { writeReadings } from '../../lesson/writeReadings'

/** Readings of the station's own group. */
export default stationRoute({ body: newReadingsSchema }, ({ database, lesson, station, body, entered }) => {
  if (body.readings.some((reading) => reading.group !== station.group)) throw otherGroup('readings')
  return writeReadings(database, lesson, body.readings, 'station', entered)
})
