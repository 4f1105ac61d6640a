import { viewSchema } from '../../../../schemas/requests'
import { lessonRoute } from '../../../access/route'
import { loadBoard } from '../../../lesson/board'

/** What the projector shows. */
export default lessonRoute({ query: viewSchema }, ({ database, lesson, query }) => loadBoard(database, lesson, query.record))
