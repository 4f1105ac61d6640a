import { asksItsOwn } from '../../../core/lesson'
import { ownQuestionSchema } from '../../../schemas/together'
import { findByCode, refuseWhoTypesTooMuch } from '../../access/findByCode'
import { refusal } from '../../access/refusal'
import { openRoute } from '../../access/route'
import { countTry, JOINS } from '../../access/slowDown'
import { addressOfCaller } from '../../access/who'
import { askInLesson, askOwnQuestion } from '../../record/ownQuestions'

/** A group asks its own question out of the class's cards: a lesson among those that run together. */
export default openRoute<'POST /api/stations/own-question'>(
  { body: ownQuestionSchema, first: refuseWhoTypesTooMuch },
  async ({ event, database, body }) => {
    const { lesson, together } = await findByCode(event, database, body.code)
    if (lesson ? !asksItsOwn(lesson.plan) : !together.body.ownQuestions) throw refusal(404, 'unknown-code', 'code')
    await countTry(database, `join ${addressOfCaller(event)}`, JOINS)
    const whole = lesson ?? (together.body.oneLesson ? together.lessons[0] : undefined)
    return { lesson: whole ? await askInLesson(database, whole, body) : await askOwnQuestion(database, together!.id, body) }
  },
)
