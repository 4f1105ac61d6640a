import { joinSchema } from '../../../schemas/requests'
import { notFound } from '../../access/refusal'
import { openRoute } from '../../access/route'
import { addStation } from '../../database/stations'
import { findByCode } from '../../access/findByCode'
import { countTry, JOINS } from '../../access/slowDown'
import { addressOfCaller } from '../../access/who'
import { isPresent } from '../../live/presence'

/** Opens a station for one group of the lesson with this code. */
export default openRoute<'POST /api/stations'>({ body: joinSchema }, async ({ event, database, body }) => {
  const lesson = await findByCode(event, database, body.code)
  if (!lesson.plan.groups.some((group) => group.id === body.group)) throw notFound('group')
  await countTry(database, `join ${addressOfCaller(event)}`, JOINS)
  const isThere = (station: string) => isPresent(lesson.id, station)
  return { token: await addStation(database, { lesson: lesson.id, group: body.group }, isThere) }
})
