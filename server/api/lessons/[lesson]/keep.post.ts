import { INVESTIGATIONS } from '../../../../schemas/investigations'
import { MOST_IN_LIBRARY } from '../../../../schemas/library'
import { keepSchema } from '../../../../schemas/requests'
import { refusal } from '../../../access/refusal'
import { lessonRoute } from '../../../access/route'
import { addStartingPoint } from '../../../database/startingPoints'
import { planForAll, NO_TEACHING } from '../../../../core/test'

/** Keeps the plan of a lesson for others to begin from: without its class, its day, its notes and its record. */
export default lessonRoute<'POST /api/lessons/[lesson]/keep'>({ body: keepSchema }, async ({ database, body, desk, lesson }) => {
  const plan = planForAll(lesson.plan)
  const teaching = (plan.investigation !== null && INVESTIGATIONS[plan.investigation]?.teaching) || NO_TEACHING
  const id = await addStartingPoint(database, { ...body, plan, teaching }, desk)
  if (id === undefined) throw refusal(409, 'library-full', undefined, { most: MOST_IN_LIBRARY.startingPoints })
  return { id }
})
