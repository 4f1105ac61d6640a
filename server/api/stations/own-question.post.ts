import { MOST_TOGETHER } from '../../../core/together'
import { ownQuestionSchema } from '../../../schemas/together'
import { refusal } from '../../access/refusal'
import { findByCode } from '../../access/findByCode'
import { openRoute } from '../../access/route'
import { countTry, JOINS } from '../../access/slowDown'
import { addressOfCaller } from '../../access/who'
import { askOwnQuestion } from '../../record/together'

/** A group asks its own question out of the class's cards: a lesson among those that run together. */
export default openRoute<'POST /api/stations/own-question'>({ body: ownQuestionSchema }, async ({ event, database, body }) => {
  const { together } = await findByCode(event, database, body.code)
  if (!together?.body.ownQuestions) throw refusal(404, 'unknown-code', 'code')
  await countTry(database, `join ${addressOfCaller(event)}`, JOINS)
  if (together.lessons.length >= MOST_TOGETHER) throw refusal(409, 'together-full', undefined, { most: MOST_TOGETHER })
  return { lesson: await askOwnQuestion(database, together, body) }
})
