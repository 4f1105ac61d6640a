import { askedAtDeskSchema } from '../../../../schemas/together'
import { lessonRoute } from '../../../access/route'
import { askInLesson } from '../../../record/ownQuestions'

/** A group's own question, written for it at the desk: a part of this lesson. */
export default lessonRoute<'POST /api/lessons/[lesson]/own-question'>(
  { body: askedAtDeskSchema },
  async ({ database, lesson, body }) => ({ id: await askInLesson(database, lesson, body) }),
)
