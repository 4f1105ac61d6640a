import { warmUpSchema } from '../../../schemas/requests'
import { stationRoute } from '../../access/route'
import { addWarmUp } from '../../database/warmUps'

/** A try at reading a scale; which group it came from is not kept. */
export default stationRoute<'POST /api/station/warm-ups'>({ body: warmUpSchema }, async ({ database, lesson, body }) => {
  await addWarmUp(database, lesson.id, body.error)
  return { done: true }
})
