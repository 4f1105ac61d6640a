import type { LessonRecord, Plan } from '../../core/lesson'
import { loadLesson, type StoredLesson } from '../database/lessons'
import type { Database } from '../database/open'
import { notFound } from '../access/refusal'
import { publicPlan } from './publicPlan'

/** What may be seen by a whole class. */
export interface BoardView {
  plan: Plan
  code: string
  record: LessonRecord
  event: number
}

export async function loadBoard(database: Database, { id }: StoredLesson): Promise<BoardView> {
  const whole = await loadLesson(database, id)
  if (!whole) throw notFound('lesson')
  const { lesson, record, event } = whole
  return { plan: publicPlan(lesson.plan), code: lesson.code, record, event }
}
