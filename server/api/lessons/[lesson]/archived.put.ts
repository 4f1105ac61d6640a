import { archiveSchema } from '../../../../schemas/requests'
import { lessonRoute } from '../../../access/route'
import { setArchived } from '../../../database/lessons'
import { partsOf } from '../../../record/ownQuestions'

/** Puts a lesson away, or takes it out again, with the groups' own questions in it. */
export default lessonRoute<'PUT /api/lessons/[lesson]/archived'>({ body: archiveSchema }, async ({ database, lesson, body }) => {
  for (const id of await partsOf(database, lesson)) await setArchived(database, id, body.archived)
  return { archived: body.archived }
})
