import { newPredictionSchema } from '../../../schemas/record'
import { Refusal } from '../../access/refusal'
import { stationRoute } from '../../access/route'
import { writePrediction } from '../../lesson/writePrediction'

/** The station's own group predicts. */
export default stationRoute({ body: newPredictionSchema }, ({ database, lesson, station, body }) => {
  if (body.group !== station.group) {
    throw new Refusal(403, {
      code: 'other-group',
      message: 'A station predicts for its own group only. Join again to change groups.',
      field: 'group',
    })
  }
  return writePrediction(database, lesson, body, 'station')
})
