import { joinSchema } from '../../../schemas/requests'
import { notFound } from '../../access/refusal'
import { openRoute } from '../../access/route'
import { addStation } from '../../database/stations'
import { findByCode } from '../../access/findByCode'

/** Opens a station for one group of the lesson with this code. */
export default openRoute<'POST /api/stations'>({ body: joinSchema }, async ({ event, database, body }) => {
  const lesson = await findByCode(event, database, body.code)
  if (!lesson.plan.groups.some((group) => group.id === body.group)) throw notFound('group')
  return { token: await addStation(database, { lesson: lesson.id, group: body.group }) }
})
