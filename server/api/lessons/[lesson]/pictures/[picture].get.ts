import { lessonRoute } from '../../../../access/route'
import { sendPicture } from '../../../../files/sendPicture'

/** A picture of the hook, for desk and board. */
export default lessonRoute<'GET /api/lessons/[lesson]/pictures/[picture]'>({}, ({ event, database, lesson, path }) =>
  sendPicture(event, database, lesson.id, path.picture),
)
