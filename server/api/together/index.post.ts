import { minutesForTesting } from '../../../core/together'
import { lessonsSchema } from '../../../schemas/together'
import { deskRoute } from '../../access/route'
import { addTogether, setLessons } from '../../database/together'
import { freeCode } from '../../record/wholeLesson'
import { seenLessons } from '../../views/together'

/** Lessons run together from now on, with one code. */
export default deskRoute<'POST /api/together'>({ body: lessonsSchema }, async ({ database, body, desk }) => {
  const lessons = await seenLessons(database, body.lessons, desk)
  const minutes = Math.max(...lessons.map(({ plan }) => minutesForTesting(plan)), 1)
  const id = await database.transaction(async (transaction) =>
    addTogether(transaction, { code: await freeCode(transaction), body: { minutes }, desk }),
  )
  await setLessons(database, id, body.lessons)
  return { id }
})
