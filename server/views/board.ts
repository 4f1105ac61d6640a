import { EMPTY_RECORD } from '../../core/lesson'
import type { BoardView } from '../../schemas/contract'
import { type StoredLesson } from '../database/lessons'
import type { Database } from '../database/open'
import { notFound } from '../access/refusal'
import { publicPlan } from './publicPlan'
import { loadLesson } from '../record/wholeLesson'

/** @param withRecord without it the record is empty: for a page that follows the events and only wants the plan anew */
export async function loadBoard(database: Database, stored: StoredLesson, withRecord: boolean): Promise<BoardView> {
  const shown = ({ plan, code, board }: StoredLesson) => ({ plan: publicPlan(plan), code, board })
  if (!withRecord) return { ...shown(stored), record: EMPTY_RECORD, event: 0 }
  const whole = await loadLesson(database, stored.id)
  if (!whole) throw notFound('lesson')
  return { ...shown(whole.lesson), record: whole.record, event: whole.event }
}
