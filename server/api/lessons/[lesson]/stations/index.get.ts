import { lessonRoute } from '../../../../access/route'
import { listStations } from '../../../../database/stations'
import { isPresent, lastSeenAt } from '../../../../live/presence'

/** Who has joined, and who is there at this moment. */
export default lessonRoute<'GET /api/lessons/[lesson]/stations'>({}, async ({ database, lesson }) => ({
  stations: (await listStations(database, lesson.id)).map(({ id, group, locked, at }) => ({
    id,
    group,
    locked,
    joinedAt: at,
    present: isPresent(lesson.id, id),
    lastSeenAt: lastSeenAt(lesson.id, id) ?? null,
  })),
}))
