import { getRequestIP, type H3Event } from 'h3'
import { Refusal } from '../access/refusal'
import { requireNoWait, wasWrong } from '../access/slowDown'
import { findLessonByCode, type StoredLesson } from '../database/lessons'
import type { Database } from '../database/open'

/** The lesson a code opens, however its letters and spaces were typed. Wrong ones slow down whoever types them. */
export async function findByCode(event: H3Event, database: Database, typed: string): Promise<StoredLesson> {
  const who = `code ${getRequestIP(event)}`
  requireNoWait(who)
  const match = /^\s*([a-z]+)\s*-?\s*(\d\d)\s*$/i.exec(typed)
  const lesson = match ? await findLessonByCode(database, `${match[1]!.toUpperCase()} ${match[2]}`) : undefined
  if (lesson && !lesson.archived) return lesson
  wasWrong(who)
  throw new Refusal(404, {
    code: 'unknown-code',
    message: 'No lesson has this code. Look at the board and type it again.',
    field: 'code',
  })
}
