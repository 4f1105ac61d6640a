import { randomUUID } from 'node:crypto'
import { openLessonFile, strayReference, withFreshIds, type FileProblem, type LessonFile } from '../../../core/formats'
import { fileProblemWords } from '../../../core/wording'
import { lessonFileSchema } from '../../../schemas/record'
import { textFileSchema } from '../../../schemas/requests'
import { Refusal } from '../../access/refusal'
import { deskRoute, pathWords } from '../../access/route'
import { addLesson } from '../../database/lessons'
import { pictureBytes } from '../../lesson/pictureBytes'

/** Opens a lesson file as a further lesson. A file that is not whole changes nothing. */
export default deskRoute({ body: textFileSchema, large: 'file' }, async ({ database, body }) => {
  const opened = openLessonFile(body.text)
  if (!opened.ok) throw refused(opened)
  const { error, value } = lessonFileSchema.validate(opened.content)
  if (error) throw refused({ code: 'broken', place: pathWords(error.details[0]?.path ?? []) })
  const file = value as LessonFile
  const stray = strayReference(file)
  if (stray) throw refused(stray)
  return { id: (await addLesson(database, file.plan, withFreshIds(file, randomUUID), file.pictures.map(pictureBytes))).id }
})

function refused(problem: FileProblem): Refusal {
  return new Refusal(400, { code: `file-${problem.code}`, message: fileProblemWords(problem), field: problem.place })
}
