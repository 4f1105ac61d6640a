import { forgetPaceSchema } from '../../schemas/school'
import { deskRoute } from '../access/route'
import { forgetPaces } from '../database/classPaces'
import { classPace } from '../views/classPace'

/** How a class went in its last lessons, forgotten where that is asked for. */
export default deskRoute<'PUT /api/class-pace'>({ body: forgetPaceSchema }, async ({ database, body, desk }) => {
  if (body.forget) await forgetPaces(database, body.className)
  return { pace: await classPace(database, body.className, desk) }
})
