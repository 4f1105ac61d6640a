import { deskRoute } from '../../access/route'
import { listNotices } from '../../database/notices'

/** What happened to the data and has to be read by somebody. */
export default deskRoute<'GET /api/notices'>({}, async ({ database }) => ({ notices: await listNotices(database) }))
