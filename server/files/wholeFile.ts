import { writeLessonFile, type LessonFile } from '../../core/formats'
import { namedPictures } from '../../core/lesson'
import { notFound } from '../access/refusal'
import type { Database } from '../database/open'
import { listPictures } from '../database/pictures'
import { pictureAddress } from './pictureBytes'
import { loadLesson } from '../record/wholeLesson'

/** A lesson as one document, its pictures with it. */
export async function wholeFile(database: Database, id: string, savedAt: string): Promise<LessonFile> {
  const whole = await loadLesson(database, id)
  if (!whole) throw notFound('lesson')
  const { plan } = whole.lesson
  const named = namedPictures(plan, whole.record.observations)
  const pictures = (await listPictures(database, id, named)).map(pictureAddress)
  return writeLessonFile(plan, whole.record, pictures, savedAt)
}
