import { joinSchema } from '../../../schemas/requests'
import { deskRoute } from '../../access/route'
import { notFound } from '../../access/refusal'
import { addStation } from '../../database/stations'
import { findByCode } from '../../lesson/station'

/** Opens a station for one group of the lesson with this code. */
export default deskRoute({ body: joinSchema }, async ({ database, body }) => {
  const lesson = await findByCode(database, body.code)
  if (!lesson.plan.groups.some((group) => group.id === body.group)) throw notFound('group')
  return { token: await addStation(database, { lesson: lesson.id, group: body.group }) }
})
