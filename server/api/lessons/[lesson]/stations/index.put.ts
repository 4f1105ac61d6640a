import { changeStationsSchema } from '../../../../../schemas/requests'
import { notFound } from '../../../../access/refusal'
import { lessonRoute } from '../../../../access/route'
import { changeStations } from '../../../../database/stations'

/** Moves stations to another group, pauses them or lets them go on; all of the lesson's where none are named. */
export default lessonRoute<'PUT /api/lessons/[lesson]/stations'>(
  { body: changeStationsSchema },
  async ({ database, lesson, body }) => {
    const { stations, ...change } = body
    if (change.group !== undefined && !lesson.plan.groups.some(({ id }) => id === change.group)) throw notFound('group')
    await changeStations(database, lesson.id, stations, change)
    return { done: true }
  },
)
