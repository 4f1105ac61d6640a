import { doubledId, openLessonFile, withoutLostForms, type FileProblem, type LessonFile } from '../../core/formats'
import { lessonFileSchema } from '../../schemas/record'
import { pathWords } from '../access/pathWords'
import { unstorable } from '../access/storable'

export type CheckedFile = { ok: true; file: LessonFile } | { ok: false; problem: FileProblem }

/** A lesson file that is whole and can be stored, brought up to date; of any other the place that is wrong. */
export function checkFile(text: string): CheckedFile {
  const opened = openLessonFile(text)
  if (!opened.ok) return { ok: false, problem: opened }
  const bad = unstorable(opened.content)
  if (bad !== undefined) return broken(bad)
  const { error, value } = lessonFileSchema.validate(opened.content)
  if (error) return broken(pathWords(error.details[0]?.path ?? []))
  const file = value as LessonFile
  const problem = doubledId(file)
  return problem ? { ok: false, problem } : { ok: true, file: withoutLostForms(file) }
}

function broken(place: string): CheckedFile {
  return { ok: false, problem: { code: 'broken', place } }
}
