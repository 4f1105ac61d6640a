import { deskRoute } from '../../access/route'
import { putDemo } from '../../record/demo'

/** The demo class, for a shelf that has nothing on it or somebody who wants to look around. */
export default deskRoute<'POST /api/demo'>({}, async ({ database, desk }) => ({ id: await putDemo(database, desk) }))
