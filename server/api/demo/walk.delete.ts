import { deskRoute } from '../../access/route'
import { endWalk } from '../../database/walk'

/** The walk was begun, or is not wanted: nobody is asked again. */
export default deskRoute<'DELETE /api/demo/walk'>({}, async ({ database }) => {
  await endWalk(database)
  return { done: true }
})
