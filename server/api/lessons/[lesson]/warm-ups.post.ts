import { warmUpSchema } from '../../../../schemas/requests'
import { lessonRoute } from '../../../access/route'
import { addWarmUp } from '../../../database/warmUps'

/** A try at reading a scale, made on the board or at the desk. */
export default lessonRoute<'POST /api/lessons/[lesson]/warm-ups'>({ body: warmUpSchema }, async ({ database, lesson, body }) => {
  await addWarmUp(database, lesson.id, body.error)
  return { done: true }
})
