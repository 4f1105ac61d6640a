import { sql } from 'drizzle-orm'
import type { H3Event } from 'h3'
import { findLessonByCode, type StoredLesson } from '../database/lessons'
import type { Database } from '../database/open'
import { findTogetherByCode, type StoredTogether } from '../database/together'
import { refusal } from './refusal'
import { countTry, refuseWhoWaits, takeBackTry, WRONG } from './slowDown'
import { addressOfCaller } from './who'

/** What a code opens: one lesson, or several that run together. */
export type OpenedByCode = { lesson: StoredLesson; together?: undefined } | { together: StoredTogether; lesson?: undefined }

/** What a code opens, however its letters and spaces were typed. Wrong ones slow down whoever types them. */
export async function findByCode(event: H3Event, database: Database, typed: string): Promise<OpenedByCode> {
  const who = `code ${addressOfCaller(event)}`
  refuseWhoWaits(who)
  const match = /^\s*([a-z]+)\s*-?\s*(\d{2,4})\s*$/i.exec(typed)
  // A whole class that types at once comes one after the other, so that right ones do not make each other wait.
  const opened = await database.transaction(async (transaction): Promise<OpenedByCode | undefined> => {
    await transaction.execute(sql`select pg_advisory_xact_lock(hashtextextended(${who}, 1))`)
    await countTry(transaction, who, WRONG)
    const found = match && (await openedBy(transaction, `${match[1]!.toUpperCase()} ${match[2]}`))
    if (found) await takeBackTry(transaction, who)
    return found ?? undefined
  })
  if (!opened) throw refusal(404, 'unknown-code', 'code')
  return opened
}

async function openedBy(database: Database, code: string): Promise<OpenedByCode | undefined> {
  const lesson = await findLessonByCode(database, code)
  if (lesson) return lesson.archived ? undefined : { lesson }
  const together = await findTogetherByCode(database, code)
  return together && { together }
}
