import { togetherRoute } from '../../../access/route'
import { removeTogether } from '../../../database/togethers'

/** Each lesson stands alone again, with all that was recorded in it. */
export default togetherRoute<'DELETE /api/together/[together]'>({}, async ({ database, together }) => {
  await removeTogether(database, together.id)
  return { done: true as const }
})
