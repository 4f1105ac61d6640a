import { openLessonFile, strayReference, type FileProblem, type LessonFile } from '../../core/formats'
import { fileProblemWords } from '../../core/wording'
import { lessonFileSchema } from '../../schemas/record'
import { Refusal } from '../access/refusal'
import { pathWords } from '../access/route'

/** A lesson file that is whole, brought up to date; refuses any other with the place that is wrong. */
export function openedFile(text: string): LessonFile {
  const opened = openLessonFile(text)
  if (!opened.ok) throw refused(opened)
  const { error, value } = lessonFileSchema.validate(opened.content)
  if (error) throw refused({ code: 'broken', place: pathWords(error.details[0]?.path ?? []) })
  const file = value as LessonFile
  const stray = strayReference(file)
  if (stray) throw refused(stray)
  return file
}

function refused(problem: FileProblem): Refusal {
  return new Refusal(400, { code: `file-${problem.code}`, message: fileProblemWords(problem), field: problem.place })
}
