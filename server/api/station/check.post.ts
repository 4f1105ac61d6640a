import { ROW_KINDS } from '../../../core/lesson'
import { checkReading } from '../../../core/record'
import { doubtSeenBy } from '../../../core/station'
import { askedSchema } from '../../../schemas/requests'
import { refusal } from '../../access/refusal'
import { stationRoute } from '../../access/route'
import { listRows } from '../../record/rows'
import { sightOf } from '../../views/sight'

/** What is to be asked about numbers that a group is about to write down, among those of all groups, which the station does not see. */
export default stationRoute<'POST /api/station/check'>({ body: askedSchema }, async ({ database, lesson, station, body }) => {
  if (body.readings.some(({ group }) => group !== station.group)) throw refusal(403, 'other-group', 'group')
  const readings = await listRows(database, ROW_KINDS.reading, lesson.id)
  const sight = await sightOf(database, lesson, station, readings)
  const doubtsOf = (entry: (typeof body.readings)[number]) => checkReading(lesson.plan, readings, entry)
  return { doubts: body.readings.map((entry) => doubtsOf(entry).map((doubt) => doubtSeenBy(doubt, sight))) }
})
