import { getRouterParams } from 'h3'
import { picturePathSchema } from '../../../../../schemas/requests'
import { checked, lessonRoute } from '../../../../access/route'
import { sendPicture } from '../../../../lesson/sendPicture'

/** A picture of the hook, for desk and board. */
export default lessonRoute({}, ({ event, database, lesson }) =>
  sendPicture(event, database, lesson.id, checked(picturePathSchema, getRouterParams(event)).picture),
)
