import { randomUUID } from 'node:crypto'
import { withFreshIds } from '../../../core/formats'
import { textFileSchema } from '../../../schemas/requests'
import { deskRoute } from '../../access/route'
import { addLesson } from '../../database/lessons'
import { openedFile } from '../../lesson/openedFile'
import { pictureBytes } from '../../lesson/pictureBytes'

/** Opens a lesson file as a further lesson. A file that is not whole changes nothing. */
export default deskRoute({ body: textFileSchema, large: 'file' }, async ({ database, body }) => {
  const file = openedFile(body.text)
  return { id: (await addLesson(database, file.plan, withFreshIds(file, randomUUID), file.pictures.map(pictureBytes))).id }
})
