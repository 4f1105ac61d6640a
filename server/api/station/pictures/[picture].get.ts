import { picturesSeenBy } from '../../../../core/station'
import { notFound } from '../../../access/refusal'
import { stationRoute } from '../../../access/route'
import { sendPicture } from '../../../files/sendPicture'
import { loadRecord } from '../../../record/rows'
import { sightOf } from '../../../views/sight'

/** A picture of the hook or of a word, or one that the station's group made; everybody's once the class may see its numbers. */
export default stationRoute<'GET /api/station/pictures/[picture]'>({}, async ({ event, database, lesson, station, path }) => {
  const record = await loadRecord(database, lesson.id)
  const sight = await sightOf(database, lesson, station, record.readings)
  if (!picturesSeenBy(lesson.plan, record, sight).includes(path.picture)) throw notFound('picture')
  return sendPicture(event, database, lesson.id, path.picture)
})
