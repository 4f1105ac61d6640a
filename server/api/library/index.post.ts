import { restoringSchema } from '../../../schemas/requests'
import { readChunks } from '../../access/body'
import { refusal } from '../../access/refusal'
import { deskRoute } from '../../access/route'
import { restoreLibrary } from '../../files/restore'

/** Puts back what a backup has and this library has not. The body is the file itself. */
export default deskRoute<'POST /api/library'>({ query: restoringSchema }, async ({ event, database, desk, query }) => {
  if (query.takeSchool && desk !== null) throw refusal(403, 'head-desk-only')
  return restoreLibrary(database, await readChunks(event, 'library'), { desk, takeSchool: query.takeSchool })
})
