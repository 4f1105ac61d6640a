import { minutesForTesting } from '../../../core/together'
import { newTogetherSchema } from '../../../schemas/together'
import { deskRoute } from '../../access/route'
import { addTogether, setLessons } from '../../database/togethers'
import { freeCode } from '../../record/wholeLesson'
import { seenLessons } from '../../views/wholeTogether'

/** Lessons run together from now on, with one code. */
export default deskRoute<'POST /api/together'>({ body: newTogetherSchema }, async ({ database, body, desk }) => {
  const lessons = await seenLessons(database, body.lessons, desk)
  const minutes = minutesForTesting(lessons.map(({ plan }) => plan))
  const id = await database.transaction(async (transaction) =>
    addTogether(transaction, { code: await freeCode(transaction), body: { minutes }, desk }),
  )
  await setLessons(database, id, body.lessons)
  return { id }
})
