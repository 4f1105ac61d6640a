import type { WholeTogether } from '../../schemas/togetherContract'
import { notFound } from '../access/refusal'
import { lastEventNumber } from '../database/announcing'
import { findLesson, type StoredLesson } from '../database/lessons'
import type { Database } from '../database/open'
import type { StoredTogether } from '../database/togethers'
import { loadLesson } from '../record/wholeLesson'

/** The lessons that these ids name, where this desk sees all of them. */
export async function seenLessons(database: Database, ids: string[], desk: string | null): Promise<StoredLesson[]> {
  const lessons: StoredLesson[] = []
  for (const id of ids) {
    const lesson = await findLesson(database, id)
    if (!lesson || (desk !== null && lesson.desk !== desk)) throw notFound('lesson')
    lessons.push(lesson)
  }
  return lessons
}

/** The event number is taken first, so that nothing falls between. */
export async function loadTogether(database: Database, { id, code, body, lessons }: StoredTogether): Promise<WholeTogether> {
  const numbers = await Promise.all(lessons.map((lesson) => lastEventNumber(database, lesson.id)))
  const whole: WholeTogether['lessons'] = []
  for (const lesson of lessons) {
    const loaded = await loadLesson(database, lesson.id)
    if (!loaded) continue
    const { plan, board, revision, code: own } = loaded.lesson
    whole.push({ id: lesson.id, code: own, plan, board, revision, record: loaded.record })
  }
  return { id, code, together: body, lessons: whole, event: Math.max(0, ...numbers) }
}
