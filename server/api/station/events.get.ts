import { stationSinceSchema } from '../../../schemas/requests'
import { stationRoute } from '../../access/route'
import { streamLesson } from '../../live/stream'

/** The lesson's events as they come, for a station. */
export default stationRoute<'GET /api/station/events'>(
  { query: stationSinceSchema },
  async ({ event, database, lesson, station, query }) => streamLesson(event, database, lesson.id, query.since, station.id),
)
