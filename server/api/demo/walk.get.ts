import { deskRoute } from '../../access/route'
import { walkOffered } from '../../database/walk'

/** The demo lesson that waits to be walked through, if any does. */
export default deskRoute<'GET /api/demo/walk'>({}, async ({ database }) => ({ lesson: await walkOffered(database) }))
