import { lessonRoute } from '../../../access/route'
import { listWarmUps } from '../../../database/warmUps'

/** By how many marks the class was off when it warmed up. */
export default lessonRoute<'GET /api/lessons/[lesson]/warm-ups'>({}, async ({ database, lesson }) => ({
  errors: await listWarmUps(database, lesson.id),
}))
