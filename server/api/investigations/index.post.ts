import { NO_TEACHING, planForAll } from '../../../core/lesson'
import { INVESTIGATIONS } from '../../../schemas/investigations'
import { keptLessonSchema } from '../../../schemas/requests'
import { notFound } from '../../access/refusal'
import { deskRoute } from '../../access/route'
import { findLesson } from '../../database/lessons'
import { addStartingPoint } from '../../database/startingPoints'

/** Keeps the plan of a lesson for others to begin from: without its class, its day, its notes and its record. */
export default deskRoute<'POST /api/investigations'>({ body: keptLessonSchema }, async ({ database, body, desk }) => {
  const lesson = await findLesson(database, body.lesson)
  if (!lesson || (desk !== null && lesson.desk !== desk)) throw notFound('lesson')
  const plan = planForAll(lesson.plan)
  const teaching = (plan.investigation !== null && INVESTIGATIONS[plan.investigation]?.teaching) || NO_TEACHING
  const { summary, topic, ages } = body
  return { id: await addStartingPoint(database, { summary, topic, ages, plan, teaching }, desk) }
})
