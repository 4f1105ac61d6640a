import { MOST_IN_LIBRARY } from '../../../schemas/library'
import { thingSchema } from '../../../schemas/school'
import { deskRoute } from '../../access/route'
import { countThings, listThings, saveThing } from '../../database/cupboard'
import { refusal } from '../../access/refusal'

/** Writes one thing of the cupboard, new or changed. Two things cannot have the same name. */
export default deskRoute<'PUT /api/cupboard'>({ body: thingSchema }, async ({ database, body }) => {
  const same = (await listThings(database)).find(({ id, name }) => id !== body.id && name.toLowerCase() === body.name.toLowerCase())
  if (same) throw refusal(409, 'name-taken', 'name', { name: same.name })
  if ((await countThings(database)) >= MOST_IN_LIBRARY.things && !(await listThings(database)).some(({ id }) => id === body.id))
    throw refusal(409, 'too-many-rows', 'name', { most: MOST_IN_LIBRARY.things })
  await saveThing(database, body)
  return { thing: body }
})
