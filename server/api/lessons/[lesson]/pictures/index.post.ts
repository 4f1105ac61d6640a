import { pictureSchema } from '../../../../../schemas/record'
import { lessonRoute } from '../../../../access/route'
import { storePicture } from '../../../../files/storePicture'

/** A picture of the hook or of a word; the plan names it afterwards. */
export default lessonRoute<'POST /api/lessons/[lesson]/pictures'>(
  { body: pictureSchema, large: 'picture' },
  ({ database, lesson, body }) => storePicture(database, lesson.id, body),
)
