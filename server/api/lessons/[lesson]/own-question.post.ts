import { randomUUID } from 'node:crypto'
import { namedPictures, ROW_KINDS } from '../../../../core/lesson'
import { ownLesson, withSaid } from '../../../../core/wonder'
import { groupSchema } from '../../../../schemas/requests'
import { refusal } from '../../../access/refusal'
import { lessonRoute } from '../../../access/route'
import { listPictures } from '../../../database/pictures'
import { addLesson } from '../../../record/wholeLesson'
import { listRows } from '../../../record/rows'

/** A lesson of its own for a group that asks its own question. */
export default lessonRoute<'POST /api/lessons/[lesson]/own-question'>({ body: groupSchema }, async ({ database, lesson, body }) => {
  const plan = withSaid(lesson.plan, await listRows(database, ROW_KINDS.remark, lesson.id))
  const group = plan.groups.find(({ id }) => id === body.group)
  if (!group || !plan.wonder.wondered.some(({ id }) => id === group.wondering)) throw refusal(409, 'no-own-question', 'group')
  const hook = await listPictures(database, lesson.id, namedPictures(plan))
  return { id: (await addLesson(database, ownLesson(plan, group, randomUUID), undefined, hook, { desk: lesson.desk })).id }
})
