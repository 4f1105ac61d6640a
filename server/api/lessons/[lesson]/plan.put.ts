import { savePlanSchema } from '../../../../schemas/requests'
import { lessonRoute } from '../../../access/route'
import { savePlan } from '../../../record/plan'

/** Saves the plan that was edited from a given revision. What has readings or predictions must stay in it. */
export default lessonRoute<'PUT /api/lessons/[lesson]/plan'>({ body: savePlanSchema }, async ({ database, lesson, body }) => {
  return { revision: await savePlan(database, lesson.id, body.plan, body.revision) }
})
