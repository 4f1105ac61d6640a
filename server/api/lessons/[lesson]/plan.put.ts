import { savePlanSchema } from '../../../../schemas/requests'
import { refusal } from '../../../access/refusal'
import { lessonRoute } from '../../../access/route'
import { savePlan } from '../../../database/lessons'
import { usedPlaces } from '../../../record/rows'

/** Saves the plan that was edited from a given revision. What has readings or predictions must stay in it. */
export default lessonRoute<'PUT /api/lessons/[lesson]/plan'>({ body: savePlanSchema }, async ({ database, lesson, body }) => {
  const { plan, revision } = body
  const used = await usedPlaces(database, lesson.id)
  const groups = new Set(plan.groups.map((group) => group.id))
  const conditions = new Set(plan.conditions.map((condition) => condition.id))
  if ([...used.groups].some((id) => !groups.has(id))) throw refusal(409, 'group-in-use', 'plan.groups')
  if ([...used.conditions].some((id) => !conditions.has(id))) throw refusal(409, 'condition-in-use', 'plan.conditions')
  const saved = await savePlan(database, lesson.id, plan, revision)
  if (!saved.ok) throw refusal(409, saved.code, 'revision')
  return { revision: saved.revision }
})
