import { randomUUID } from 'node:crypto'
import { nextTests, planNext } from '../../../../core/agree'
import { evidenceOf } from '../../../../core/evidence'
import { withSaid } from '../../../../core/wonder'
import { nextTestSchema } from '../../../../schemas/requests'
import { notFound, refusal } from '../../../access/refusal'
import { lessonRoute } from '../../../access/route'
import { planOfClass } from '../../../record/ownQuestions'
import { addLesson, loadLesson } from '../../../record/wholeLesson'
import { withClassPace } from '../../../views/classPace'

/** The next lesson, begun from a card that was not used yet or from a wondering kept for later. */
export default lessonRoute<'POST /api/lessons/[lesson]/next'>({ body: nextTestSchema }, async ({ database, lesson, body }) => {
  const whole = await loadLesson(database, lesson.id)
  if (!whole) throw notFound('lesson')
  const plan = withSaid(await planOfClass(database, whole.lesson), whole.record.remarks)
  const next = nextTests(plan).find(({ from, id }) => from === body.from && id === body.id)
  if (!next) throw refusal(409, 'no-such-card', 'id')
  const first = evidenceOf(plan, whole.record)?.order[0]
  const begun = await withClassPace(database, planNext(plan, next, first, randomUUID), lesson.desk)
  return { id: (await addLesson(database, begun, undefined, [], { desk: lesson.desk })).id }
})
