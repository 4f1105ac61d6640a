import { viewSchema } from '../../../../schemas/requests'
import { lessonRoute } from '../../../access/route'
import { loadBoard } from '../../../views/board'

/** What the projector shows. */
export default lessonRoute<'GET /api/lessons/[lesson]/board'>({ query: viewSchema }, ({ database, lesson, query }) =>
  loadBoard(database, lesson, query.record),
)
