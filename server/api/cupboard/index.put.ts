import { thingSchema } from '../../../schemas/school'
import { deskRoute } from '../../access/route'
import { listThings, saveThing } from '../../database/cupboard'
import { refusal } from '../../access/refusal'

/** Writes one thing of the cupboard, new or changed. Two things cannot have the same name. */
export default deskRoute<'PUT /api/cupboard'>({ body: thingSchema }, async ({ database, body }) => {
  const same = (await listThings(database)).find(({ id, name }) => id !== body.id && name.toLowerCase() === body.name.toLowerCase())
  if (same) throw refusal(409, 'name-taken', 'name', { name: same.name })
  await saveThing(database, body)
  return { thing: body }
})
