import { notFound } from '../../../access/refusal'
import { headRoute } from '../../../access/route'
import { removeDesk } from '../../../database/desks'

/** Takes a class's desk away. Its lessons stay, at the head desk. */
export default headRoute<'DELETE /api/desks/[desk]'>({}, async ({ database, path }) => {
  if (!(await removeDesk(database, path.desk))) throw notFound('desk')
  return { done: true }
})
