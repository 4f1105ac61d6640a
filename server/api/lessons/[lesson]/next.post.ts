import { randomUUID } from 'node:crypto'
import { nextTests, planNext } from '../../../../core/agree'
import { evidenceOf } from '../../../../core/evidence'
import { withSaid } from '../../../../core/wonder'
import { nextTestSchema } from '../../../../schemas/requests'
import { notFound, Refusal } from '../../../access/refusal'
import { lessonRoute } from '../../../access/route'
import { addLesson, loadLesson } from '../../../database/lessons'

/** The next lesson, begun from a card that was not used yet or from a wondering kept for later. */
export default lessonRoute({ body: nextTestSchema }, async ({ database, lesson, body }) => {
  const whole = await loadLesson(database, lesson.id)
  if (!whole) throw notFound('lesson')
  const plan = withSaid(whole.lesson.plan, whole.record.remarks)
  const next = nextTests(plan).find(({ from, id }) => from === body.from && id === body.id)
  if (!next) {
    const message = 'This card is not left over any more. Load the page again and choose another.'
    throw new Refusal(409, { code: 'no-such-card', message, field: 'id' })
  }
  const first = evidenceOf(plan, whole.record)?.order[0]
  return { id: (await addLesson(database, planNext(plan, next, first, randomUUID))).id }
})
