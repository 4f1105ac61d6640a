import { readBytes } from '../../access/body'
import { deskRoute } from '../../access/route'
import { restoreLibrary } from '../../files/library'

/** Puts back what a backup has and this library has not. The body is the file itself. */
export default deskRoute<'POST /api/library'>({}, async ({ event, database, desk }) =>
  restoreLibrary(database, await readBytes(event, 'library'), desk),
)
