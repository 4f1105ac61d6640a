import { handOverSchema } from '../../../../schemas/requests'
import { notFound } from '../../../access/refusal'
import { lessonRoute } from '../../../access/route'
import { findDesk } from '../../../database/desks'
import { handOver } from '../../../database/lessons'
import { standAlone } from '../../../database/togethers'

/** Hands a lesson to a colleague's desk. */
export default lessonRoute<'PUT /api/lessons/[lesson]/desk'>({ body: handOverSchema }, async ({ database, lesson, body }) => {
  if (body.desk !== null && !(await findDesk(database, body.desk))) throw notFound('desk')
  // What runs together stands on one desk.
  if (lesson.together !== null) await standAlone(database, lesson.together, lesson.id)
  await handOver(database, lesson.id, body.desk)
  return { desk: body.desk }
})
