import { boardChangeSchema } from '../../../../schemas/requests'
import { lessonRoute } from '../../../access/route'
import { saveBoard } from '../../../database/lessons'

/** Changes what the board shows. */
export default lessonRoute({ body: boardChangeSchema }, async ({ database, lesson, body }) => ({
  board: await saveBoard(database, lesson.id, body),
}))
