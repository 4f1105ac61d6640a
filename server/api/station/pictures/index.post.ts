import { pictureSchema } from '../../../../schemas/record'
import { stationRoute } from '../../../access/route'
import { storePicture } from '../../../files/storePicture'

/** A sketch or a photo of apparatus; an observation names it afterwards. */
export default stationRoute<'POST /api/station/pictures'>(
  { body: pictureSchema, large: 'picture' },
  ({ database, lesson, station, body }) => storePicture(database, lesson.id, body, station),
)
