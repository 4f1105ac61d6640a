import { thingSchema } from '../../../schemas/school'
import { deskRoute } from '../../access/route'
import { listThings, saveThing } from '../../database/cupboard'
import { Refusal } from '../../access/refusal'

/** Writes one thing of the cupboard, new or changed. Two things cannot have the same name. */
export default deskRoute({ body: thingSchema }, async ({ database, body }) => {
  const same = (await listThings(database)).find(({ id, name }) => id !== body.id && name.toLowerCase() === body.name.toLowerCase())
  if (same) {
    throw new Refusal(409, {
      code: 'name-taken',
      message: `“${same.name}” is in the cupboard already. Change that one, or give this one another name.`,
      field: 'name',
    })
  }
  await saveThing(database, body)
  return { thing: body }
})
