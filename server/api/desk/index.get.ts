import { openRoute } from '../../access/route'
import { listDesks } from '../../database/desks'

/** The names of the classes' desks, to choose one's own. */
export default openRoute<'GET /api/desk'>({}, async ({ database }) => ({ desks: await listDesks(database) }))
