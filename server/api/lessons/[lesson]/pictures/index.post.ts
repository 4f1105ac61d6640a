import { pictureSchema } from '../../../../../schemas/record'
import { lessonRoute } from '../../../../access/route'
import { Refusal } from '../../../../access/refusal'
import { addPicture, countPictures } from '../../../../database/pictures'
import { pictureBytes } from '../../../../lesson/pictureBytes'

// Pictures that were taken away again can come back by undo, so they stay; this many are never needed.
const MOST_STORED = 60

/** A picture for the hook; the plan names it afterwards. */
export default lessonRoute({ body: pictureSchema, file: true }, async ({ database, lesson, body }) => {
  if ((await countPictures(database, lesson.id)) >= MOST_STORED) {
    throw new Refusal(409, {
      code: 'too-many-pictures',
      message: `This lesson has kept ${MOST_STORED} pictures already. Make a copy of the lesson and go on there.`,
    })
  }
  await addPicture(database, lesson.id, pictureBytes(body))
  return { id: body.id }
})
