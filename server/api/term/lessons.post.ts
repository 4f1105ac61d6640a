import { randomUUID } from 'node:crypto'
import { withThings } from '../../../core/kit'
import { type Plan } from '../../../core/lesson'
import { termLessonsSchema } from '../../../schemas/termPlan'
import { deskRoute } from '../../access/route'
import { notFound } from '../../access/refusal'
import { secretRandom } from '../../access/secretRandom'
import { listThings } from '../../database/cupboard'
import { addLesson } from '../../record/wholeLesson'
import { classPace } from '../../views/classPace'
import { findInvestigation } from '../../views/investigations'
import { planFrom } from '../../../core/test'

/** Makes a lesson on its day of each investigation of a term: all of them, or none. */
export default deskRoute<'POST /api/term/lessons'>({ body: termLessonsSchema }, async ({ database, body, desk }) => {
  const things = await listThings(database)
  const plans: Plan[] = []
  const pace = await classPace(database, body.className, desk)
  for (const { investigation, date } of body.lessons) {
    const found = await findInvestigation(database, investigation)
    if (!found) throw notFound('investigation')
    const plan = withThings(planFrom(found.body, body.className, body.children, randomUUID, secretRandom), things)
    plans.push({ ...plan, date, clock: { ...plan.clock, pace } })
  }
  const ids = await database.transaction(async (transaction) => {
    const made: string[] = []
    for (const plan of plans) made.push((await addLesson(transaction, plan, undefined, [], { desk })).id)
    return made
  })
  return { ids }
})
