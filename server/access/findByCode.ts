import { getRequestIP, type H3Event } from 'h3'
import { findLessonByCode, type StoredLesson } from '../database/lessons'
import type { Database } from '../database/open'
import { refusal } from './refusal'
import { requireNoWait, wasWrong } from './slowDown'

/** The lesson a code opens, however its letters and spaces were typed. Wrong ones slow down whoever types them. */
export async function findByCode(event: H3Event, database: Database, typed: string): Promise<StoredLesson> {
  const who = `code ${getRequestIP(event)}`
  requireNoWait(who)
  const match = /^\s*([a-z]+)\s*-?\s*(\d\d)\s*$/i.exec(typed)
  const lesson = match ? await findLessonByCode(database, `${match[1]!.toUpperCase()} ${match[2]}`) : undefined
  if (lesson && !lesson.archived) return lesson
  wasWrong(who)
  throw refusal(404, 'unknown-code', 'code')
}
