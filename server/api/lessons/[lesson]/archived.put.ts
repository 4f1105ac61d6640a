import { archiveSchema } from '../../../../schemas/requests'
import { lessonRoute } from '../../../access/route'
import { setArchived } from '../../../database/lessons'

/** Puts a lesson away, or takes it out again. */
export default lessonRoute<'PUT /api/lessons/[lesson]/archived'>({ body: archiveSchema }, async ({ database, lesson, body }) => {
  await setArchived(database, lesson.id, body.archived)
  return { archived: body.archived }
})
