import { randomUUID } from 'node:crypto'
import { namedPictures } from '../../../../core/lesson'
import { ownLesson, withSaid } from '../../../../core/wonder'
import { groupSchema } from '../../../../schemas/requests'
import { Refusal } from '../../../access/refusal'
import { lessonRoute } from '../../../access/route'
import { addLesson } from '../../../database/lessons'
import { listPictures } from '../../../database/pictures'
import { listRemarks } from '../../../database/remarks'

/** A lesson of its own for a group that asks its own question. */
export default lessonRoute({ body: groupSchema }, async ({ database, lesson, body }) => {
  const plan = withSaid(lesson.plan, await listRemarks(database, lesson.id))
  const group = plan.groups.find(({ id }) => id === body.group)
  if (!group || !plan.wonder.wondered.some(({ id }) => id === group.wondering)) {
    throw new Refusal(409, {
      code: 'no-own-question',
      message: 'This group has not picked a wondering yet. Pick one for it first.',
      field: 'group',
    })
  }
  const hook = await listPictures(database, lesson.id, namedPictures(plan))
  return { id: (await addLesson(database, ownLesson(plan, group, randomUUID), undefined, hook)).id }
})
