import { randomUUID } from 'node:crypto'
import { withFreshIds } from '../../../core/formats'
import { textFileSchema } from '../../../schemas/requests'
import { deskRoute } from '../../access/route'
import { openedFile } from '../../files/readBeside'
import { pictureBytes } from '../../files/pictureBytes'
import { isStartingPointFile, openStartingPoint } from '../../files/startingPoint'
import { isTogetherFile, openTogether } from '../../files/together'
import { addLesson } from '../../record/wholeLesson'

/** Opens a lesson file as a further lesson, all lessons of a file of several that run together, or a lesson to begin from as one of the school's own. A file that is not whole changes nothing. */
export default deskRoute<'POST /api/lessons/open'>({ body: textFileSchema, large: 'file' }, async ({ database, body, desk }) => {
  if (isStartingPointFile(body.text))
    return { id: await openStartingPoint(database, body.text, desk), startingPoint: true as const }
  if (isTogetherFile(body.text)) return openTogether(database, body.text, desk)
  const file = await openedFile(body.text)
  return {
    id: (await addLesson(database, file.plan, withFreshIds(file, randomUUID), file.pictures.map(pictureBytes), { desk })).id,
  }
})
