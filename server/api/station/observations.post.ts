import { newObservationSchema } from '../../../schemas/record'
import { otherGroup, stationRoute } from '../../access/route'
import { writeObservation } from '../../lesson/writeObservation'

/** What the station's own group saw. */
export default stationRoute({ body: newObservationSchema }, ({ database, lesson, station, body, entered }) => {
  if (body.group !== station.group) throw otherGroup('group')
  return writeObservation(database, lesson, { ...body, by: 'station', at: entered })
})
