import { customsSchema } from '../../../schemas/school'
import { deskRoute } from '../../access/route'
import { saveCustoms } from '../../database/cupboard'

/** Which English, with whose spoons and cups, and which money. */
export default deskRoute<'PUT /api/cupboard/customs'>({ body: customsSchema }, async ({ database, body }) => {
  await saveCustoms(database, body)
  return { customs: body }
})
