import { stationRoute } from '../../../access/route'
import { sendPicture } from '../../../files/sendPicture'

/** A picture of the hook, for a station. */
export default stationRoute<'GET /api/station/pictures/[picture]'>({}, ({ event, database, lesson, path }) =>
  sendPicture(event, database, lesson.id, path.picture),
)
