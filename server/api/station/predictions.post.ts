import { newPredictionSchema } from '../../../schemas/record'
import { otherGroup, stationRoute } from '../../access/route'
import { writePrediction } from '../../lesson/writePrediction'

/** The station's own group predicts. */
export default stationRoute({ body: newPredictionSchema }, ({ database, lesson, station, body, entered }) => {
  if (body.group !== station.group) throw otherGroup('group')
  return writePrediction(database, lesson, body, 'station', entered)
})
