import { stationRoute } from '../../access/route'
import { heardOf } from '../../live/presence'

/** A station answers its stream's sign of life: one that is off the network says nothing, though its stream may seem to stand for minutes. */
export default stationRoute<'GET /api/station/here'>({}, ({ database, lesson, station }) => {
  heardOf(database, lesson.id, station.id)
  return { done: true }
})
