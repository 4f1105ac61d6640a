import { savePlanSchema } from '../../../../schemas/requests'
import { Refusal } from '../../../access/refusal'
import { lessonRoute } from '../../../access/route'
import { savePlan, usedIds } from '../../../database/lessons'

/** Saves the plan that was edited from a given revision. What has readings or predictions must stay in it. */
export default lessonRoute({ body: savePlanSchema }, async ({ database, lesson, body }) => {
  const { plan, revision } = body
  const used = await usedIds(database, lesson.id)
  const groups = new Set(plan.groups.map((group) => group.id))
  const conditions = new Set(plan.conditions.map((condition) => condition.id))
  if ([...used.groups].some((id) => !groups.has(id))) throw inUse('group', 'plan.groups')
  if ([...used.conditions].some((id) => !conditions.has(id))) throw inUse('condition', 'plan.conditions')
  const saved = await savePlan(database, lesson.id, plan, revision)
  if (!saved.ok) {
    throw new Refusal(409, {
      code: 'stale',
      message: 'This plan was changed in another window meanwhile. Load the page again, then make your change once more.',
      field: 'revision',
    })
  }
  return { revision: saved.revision }
})

function inUse(what: 'group' | 'condition', field: string): Refusal {
  return new Refusal(409, {
    code: `${what}-in-use`,
    message: `This ${what} has readings or predictions. ${what === 'condition' ? 'Leave it out instead; nothing is lost then.' : 'Keep it in the plan.'}`,
    field,
  })
}
