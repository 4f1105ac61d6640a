import { togetherSchema } from '../../../../schemas/together'
import { togetherRoute } from '../../../access/route'
import { saveTogether } from '../../../database/together'

/** Changes what lessons that run together have in common. */
export default togetherRoute<'PUT /api/together/[together]'>({ body: togetherSchema }, async ({ database, together, body }) => ({
  together: await saveTogether(database, together.id, body),
}))
