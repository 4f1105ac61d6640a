import { newConclusionSchema } from '../../../../schemas/record'
import { lessonRoute } from '../../../access/route'
import { addConclusion } from '../../../database/conclusions'
import { checkPlaces, idTaken } from '../../../lesson/checkRows'

/** A further wording of the class conclusion, or of a group's sentence. */
export default lessonRoute({ body: newConclusionSchema }, async ({ database, lesson, body }) => {
  checkPlaces(lesson.plan, [{ group: body.group ?? undefined, conditions: [] }])
  const result = await addConclusion(database, lesson.id, { ...body, by: 'desk', at: new Date().toISOString() })
  if (!result.ok) throw idTaken()
  return { conclusion: result.conclusion }
})
