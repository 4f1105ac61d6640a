import { EMPTY_RECORD, type BoardState, type LessonRecord, type Plan } from '../../core/lesson'
import { loadLesson, type StoredLesson } from '../database/lessons'
import type { Database } from '../database/open'
import { notFound } from '../access/refusal'
import { publicPlan } from './publicPlan'

/** What may be seen by a whole class. */
export interface BoardView {
  plan: Plan
  code: string
  board: BoardState
  record: LessonRecord
  event: number
}

/** @param withRecord without it the record is empty: for a page that follows the events and only wants the plan anew */
export async function loadBoard(database: Database, stored: StoredLesson, withRecord: boolean): Promise<BoardView> {
  const shown = ({ plan, code, board }: StoredLesson) => ({ plan: publicPlan(plan), code, board })
  if (!withRecord) return { ...shown(stored), record: EMPTY_RECORD, event: 0 }
  const whole = await loadLesson(database, stored.id)
  if (!whole) throw notFound('lesson')
  return { ...shown(whole.lesson), record: whole.record, event: whole.event }
}
