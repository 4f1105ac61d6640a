import { getRouterParams } from 'h3'
import { picturePathSchema } from '../../../../schemas/requests'
import { checked, stationRoute } from '../../../access/route'
import { sendPicture } from '../../../lesson/sendPicture'

/** A picture of the hook, for a station. */
export default stationRoute({}, ({ event, database, lesson }) =>
  sendPicture(event, database, lesson.id, checked(picturePathSchema, getRouterParams(event)).picture),
)
