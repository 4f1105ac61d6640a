import { lessonRoute } from '../../../access/route'
import { loadBoard } from '../../../lesson/board'

/** What the projector shows. */
export default lessonRoute({}, ({ database, lesson }) => loadBoard(database, lesson))
