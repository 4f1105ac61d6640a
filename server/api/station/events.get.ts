import { isHeardBy, type StationSight } from '../../../core/station'
import { numbersAreShown } from '../../../core/secondLook'
import { ROW_KINDS, type LessonEvent } from '../../../core/lesson'
import { stationSinceSchema } from '../../../schemas/requests'
import { stationRoute } from '../../access/route'
import { streamLesson } from '../../live/stream'
import { listRows } from '../../record/rows'

/** The lesson's events as they come, for a station: its own group's, and everybody's once the class may see its numbers. */
export default stationRoute<'GET /api/station/events'>(
  { query: stationSinceSchema },
  async ({ event, database, lesson, station, query }) => {
    const readings = lesson.board.results === 'live' ? [] : await listRows(database, ROW_KINDS.reading, lesson.id)
    const all = numbersAreShown(lesson.plan, readings, lesson.board)
    let sight: StationSight = { station: station.id, group: station.group, all }
    const sees = (happened: LessonEvent) => {
      if (happened.kind === 'board') sight = { ...sight, all: happened.board.results === 'live' }
      const moved = happened.kind === 'station' && happened.station === station.id && happened.change === 'moved'
      if (moved) sight = { ...sight, group: happened.to ?? sight.group }
      return isHeardBy(happened, sight)
    }
    return streamLesson(event, database, lesson, query.since, { id: station.id, sees })
  },
)
