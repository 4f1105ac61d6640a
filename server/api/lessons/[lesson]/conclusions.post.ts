import { newConclusionSchema } from '../../../../schemas/record'
import { lessonRoute } from '../../../access/route'
import { addConclusion } from '../../../database/conclusions'
import { idTaken } from '../../../lesson/checkRows'

/** A further wording of the class conclusion. */
export default lessonRoute({ body: newConclusionSchema }, async ({ database, lesson, body }) => {
  const result = await addConclusion(database, lesson.id, { ...body, at: new Date().toISOString() })
  if (!result.ok) throw idTaken()
  return { conclusion: result.conclusion }
})
