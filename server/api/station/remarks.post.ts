import { newRemarkSchema } from '../../../schemas/record'
import { stationRoute } from '../../access/route'
import { addRemark } from '../../database/remarks'
import { idTaken } from '../../lesson/checkRows'

/** What the station's own group noticed, guesses or wonders. */
export default stationRoute({ body: newRemarkSchema }, async ({ database, lesson, station, body, entered }) => {
  const result = await addRemark(database, lesson.id, { ...body, group: station.group, at: entered })
  if (!result.ok) throw idTaken()
  return { remark: result.remark }
})
