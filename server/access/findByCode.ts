import { sql } from 'drizzle-orm'
import type { H3Event } from 'h3'
import { findLessonByCode, type StoredLesson } from '../database/lessons'
import type { Database } from '../database/open'
import { refusal } from './refusal'
import { countTry, refuseWhoWaits, takeBackTry, WRONG } from './slowDown'
import { addressOfCaller } from './who'

/** The lesson a code opens, however its letters and spaces were typed. Wrong ones slow down whoever types them. */
export async function findByCode(event: H3Event, database: Database, typed: string): Promise<StoredLesson> {
  const who = `code ${addressOfCaller(event)}`
  refuseWhoWaits(who)
  const match = /^\s*([a-z]+)\s*-?\s*(\d{2,4})\s*$/i.exec(typed)
  // A whole class that types at once comes one after the other, so that right ones do not make each other wait.
  const lesson = await database.transaction(async (transaction) => {
    await transaction.execute(sql`select pg_advisory_xact_lock(hashtextextended(${who}, 1))`)
    await countTry(transaction, who, WRONG)
    const found = match ? await findLessonByCode(transaction, `${match[1]!.toUpperCase()} ${match[2]}`) : undefined
    if (!found || found.archived) return undefined
    await takeBackTry(transaction, who)
    return found
  })
  if (!lesson) throw refusal(404, 'unknown-code', 'code')
  return lesson
}
