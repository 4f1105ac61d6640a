import { kitchenOf, stockChanges } from '../../../../core/kit'
import { countBackSchema } from '../../../../schemas/school'
import { lessonRoute } from '../../../access/route'
import { countBack, customsOf, listThings } from '../../../database/cupboard'

/** What came back after the lesson and what broke. The cupboard's stocks follow; counting again replaces the count. */
export default lessonRoute<'POST /api/lessons/[lesson]/count-back'>(
  { body: countBackSchema },
  async ({ database, lesson, body }) => {
    const changes = stockChanges(lesson.plan, await listThings(database), body.rows, kitchenOf(await customsOf(database)))
    await countBack(database, lesson.id, changes)
    return { counted: changes.length }
  },
)
