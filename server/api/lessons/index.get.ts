import { deskRoute } from '../../access/route'
import { listLessons } from '../../database/lessons'
import { shelfEntry } from '../../lesson/shelf'

/** All lessons as the shelf shows them. */
export default deskRoute({}, async ({ database }) => ({ lessons: (await listLessons(database)).map(shelfEntry) }))
