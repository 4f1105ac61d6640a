import { togetherSchema } from '../../../../schemas/together'
import { notFound } from '../../../access/refusal'
import { togetherRoute } from '../../../access/route'
import { saveTogether } from '../../../database/togethers'

/** Changes what lessons that run together have in common. */
export default togetherRoute<'PUT /api/together/[together]'>({ body: togetherSchema }, async ({ database, together, body }) => {
  const saved = await saveTogether(database, together.id, body)
  if (!saved) throw notFound('together')
  return { together: saved }
})
