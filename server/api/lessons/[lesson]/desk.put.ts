import { handOverSchema } from '../../../../schemas/requests'
import { notFound } from '../../../access/refusal'
import { lessonRoute } from '../../../access/route'
import { findDesk } from '../../../database/desks'
import { handOver } from '../../../database/lessons'
import { moveToDesk, standAlone } from '../../../database/togethers'
import { partsOf } from '../../../record/ownQuestions'

/** Hands a lesson to a colleague's desk. */
export default lessonRoute<'PUT /api/lessons/[lesson]/desk'>({ body: handOverSchema }, async ({ database, lesson, body }) => {
  if (body.desk !== null && !(await findDesk(database, body.desk))) throw notFound('desk')
  // What runs together stands on one desk.
  const parts = await partsOf(database, lesson)
  if (lesson.together !== null && parts.length > 1) await moveToDesk(database, lesson.together, body.desk)
  else if (lesson.together !== null) await standAlone(database, lesson.together, lesson.id)
  for (const id of parts) await handOver(database, id, body.desk)
  return { desk: body.desk }
})
