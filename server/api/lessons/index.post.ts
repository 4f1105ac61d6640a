import { randomUUID } from 'node:crypto'
import { withThings } from '../../../core/kit'
import { emptyPlan } from '../../../core/lesson'
import { spelledThrough } from '../../../core/wording'
import { INVESTIGATIONS } from '../../../schemas/investigations'
import { planFrom } from '../../../core/lesson'
import { newLessonSchema } from '../../../schemas/requests'
import { deskRoute } from '../../access/route'
import { notFound } from '../../access/refusal'
import { customsOf, listThings } from '../../database/cupboard'
import { lastClass } from '../../database/lessons'
import { addLesson } from '../../record/wholeLesson'

/** A new lesson, from the library or from nothing, for the class that is said or that of the last one. */
export default deskRoute<'POST /api/lessons'>({ body: newLessonSchema }, async ({ database, body, desk }) => {
  const last = await lastClass(database, desk)
  const [className, children] = [body.className ?? last.className, body.children ?? last.children]
  if (body.investigation === null) {
    return { id: (await addLesson(database, emptyPlan(className, children, randomUUID), undefined, [], { desk })).id }
  }
  const investigation = Object.hasOwn(INVESTIGATIONS, body.investigation) ? INVESTIGATIONS[body.investigation] : undefined
  if (!investigation) throw notFound('investigation')
  const { english } = await customsOf(database)
  const plan = planFrom(spelledThrough(investigation, english), className, children, randomUUID)
  return { id: (await addLesson(database, withThings(plan, await listThings(database)), undefined, [], { desk })).id }
})
