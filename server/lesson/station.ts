import { Refusal } from '../access/refusal'
import { findLessonByCode, type StoredLesson } from '../database/lessons'
import type { Database } from '../database/open'

/** The lesson a code opens, however its letters and spaces were typed. */
export async function findByCode(database: Database, typed: string): Promise<StoredLesson> {
  const match = /^\s*([a-z]+)\s*-?\s*(\d\d)\s*$/i.exec(typed)
  const lesson = match ? await findLessonByCode(database, `${match[1]!.toUpperCase()} ${match[2]}`) : undefined
  if (!lesson || lesson.archived) {
    throw new Refusal(404, {
      code: 'unknown-code',
      message: 'No lesson has this code. Look at the board and type it again.',
      field: 'code',
    })
  }
  return lesson
}
