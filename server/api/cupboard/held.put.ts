import { heldSchema } from '../../../schemas/school'
import { deskRoute } from '../../access/route'
import { saveHeldDays } from '../../database/cupboard'

/** How many days before and after a lesson its things are held. */
export default deskRoute<'PUT /api/cupboard/held'>({ body: heldSchema }, async ({ database, body }) => {
  await saveHeldDays(database, body)
  return { held: body }
})
