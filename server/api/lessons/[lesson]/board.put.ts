import { boardChangeSchema } from '../../../../schemas/requests'
import { lessonRoute } from '../../../access/route'
import { saveBoard } from '../../../database/lessons'

/** Changes what the board shows. */
export default lessonRoute<'PUT /api/lessons/[lesson]/board'>({ body: boardChangeSchema }, async ({ database, lesson, body }) => ({
  board: await saveBoard(database, lesson.id, body),
}))
