import { splitSchema } from '../../../../schemas/together'
import { togetherRoute } from '../../../access/route'
import { splitOff } from '../../../record/splitAndJoin'

/** Some groups of a lesson go into a lesson of their own, with all that they wrote down. */
export default togetherRoute<'POST /api/together/[together]/split'>({ body: splitSchema }, async ({ database, together, body }) => {
  return { id: await splitOff(database, together.id, body) }
})
