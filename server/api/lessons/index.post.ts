import { randomUUID } from 'node:crypto'
import { NO_SCHOOL, withThings } from '../../../core/kit'
import { emptyPlan } from '../../../core/lesson'
import { withWhatIsThere } from '../../../core/waysOut'
import { whatIsThereWords } from '../../../core/wording'
import { newLessonSchema } from '../../../schemas/requests'
import { deskRoute } from '../../access/route'
import { notFound } from '../../access/refusal'
import { secretRandom } from '../../access/secretRandom'
import { customsOf, listThings } from '../../database/cupboard'
import { lastClass } from '../../database/lessons'
import { addLesson } from '../../record/wholeLesson'
import { withClassPace } from '../../views/classPace'
import { findInvestigation } from '../../views/investigations'
import { planFrom } from '../../../core/test'

/** A new lesson, from the library, from a draft or from nothing, for the class that is said or that of the last one; changed to what the cupboard has where that is wanted. */
export default deskRoute<'POST /api/lessons'>({ body: newLessonSchema }, async ({ database, body, desk }) => {
  const last = await lastClass(database, desk)
  const [className, children] = [body.className ?? last.className, body.children ?? last.children]
  if (body.investigation === null) {
    const begun = body.draft ?? emptyPlan(className, children, randomUUID)
    const plan = await withClassPace(database, withThings(begun, await listThings(database)), desk)
    return { id: (await addLesson(database, plan, undefined, [], { desk })).id, changed: '' }
  }
  const found = await findInvestigation(database, body.investigation)
  if (!found) throw notFound('investigation')
  const things = await listThings(database)
  const customs = await customsOf(database)
  const whole = withThings(planFrom(found.body, className, children, randomUUID, secretRandom), things)
  const changed = body.withWhatIsThere ? withWhatIsThere(whole, { ...NO_SCHOOL, things, customs }, randomUUID) : undefined
  const plan = await withClassPace(database, changed?.plan ?? whole, desk)
  const { id } = await addLesson(database, plan, undefined, [], { desk })
  return { id, changed: changed ? whatIsThereWords(changed) : '' }
})
