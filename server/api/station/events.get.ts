import { eventSeenBy, isHeardBy, seesAfter } from '../../../core/station'
import type { LessonEvent } from '../../../core/lesson'
import { stationSinceSchema } from '../../../schemas/requests'
import { stationRoute } from '../../access/route'
import { streamLesson } from '../../live/stream'
import { sightOf } from '../../views/sight'

/** The lesson's events as they come, for a station: its own group's, and everybody's once the class may see its numbers. */
export default stationRoute<'GET /api/station/events'>(
  { query: stationSinceSchema },
  async ({ event, database, lesson, station, query }) => {
    let sight = await sightOf(database, lesson, station)
    const sees = (happened: LessonEvent) => {
      sight = seesAfter(sight, happened)
      return isHeardBy(happened, sight)
    }
    const watching = { id: station.id, sees, shown: (happened: LessonEvent) => eventSeenBy(happened, sight) }
    return streamLesson(event, database, lesson, query.since, { station: watching })
  },
)
