import { sql } from 'drizzle-orm'
import type { H3Event } from 'h3'
import { recordByCode } from '../../core/lesson'
import { findLessonByCode, type StoredLesson } from '../database/lessons'
import type { Database } from '../database/open'
import { askedIn, findTogetherByCode, type StoredTogether } from '../database/togethers'
import { refusal } from './refusal'
import type { TakeBack } from './route'
import { countTry, refuseWhoWaits, takeBackTry, WRONG } from './slowDown'
import { addressOfCaller } from './who'

/** What a code opens: one lesson, or several that run together. */
export type OpenedByCode = { lesson: StoredLesson; together?: undefined } | { together: StoredTogether; lesson?: undefined }

/** What a code opens, however its letters and spaces were typed. Wrong ones slow down whoever types them. */
export async function findByCode(event: H3Event, database: Database, typed: string): Promise<OpenedByCode> {
  const match = /^\s*([a-z]+)\s*-?\s*(\d{2,4})\s*$/i.exec(typed)
  const opened = await tryKey(database, whoTypes(event), async (transaction) =>
    match ? openedBy(transaction, `${match[1]!.toUpperCase()} ${match[2]}`) : undefined,
  )
  if (!opened) throw refusal(404, 'unknown-code', 'code')
  return opened
}

/** Before anything is read of what somebody sends: are they told to wait. */
export function refuseWhoTypesTooMuch(event: H3Event): Promise<TakeBack> {
  refuseWhoWaits(whoTypes(event))
  // It is counted later, once the code is read.
  return Promise.resolve(() => Promise.resolve())
}

const whoTypes = (event: H3Event) => `code ${addressOfCaller(event)}`

/** The record that a child's own code opens; its tries are counted apart from those at codes of lessons. */
export async function findByOwnCode(
  event: H3Event,
  database: Database,
  lesson: Pick<StoredLesson, 'id' | 'plan'>,
  typed: string,
): Promise<string> {
  const found = await tryKey(database, `own ${lesson.id} ${addressOfCaller(event)}`, () =>
    Promise.resolve(recordByCode(lesson.plan, typed)),
  )
  if (found === undefined) throw refusal(404, 'unknown-own-code', 'own')
  return found
}

/**
 * What a key opens. The try is counted before anybody looks, and taken back where the key was right; whoever has to wait learns nothing, with a right one neither. A whole class
 * that types at once comes one after the other, so that right ones do not make each other wait.
 */
async function tryKey<Found>(
  database: Database,
  who: string,
  look: (transaction: Database) => Promise<Found | undefined>,
): Promise<Found | undefined> {
  refuseWhoWaits(who)
  return database.transaction(async (transaction) => {
    await transaction.execute(sql`select pg_advisory_xact_lock(hashtextextended(${who}, 1))`)
    await countTry(transaction, who, WRONG)
    const found = await look(transaction)
    if (found !== undefined) await takeBackTry(transaction, who)
    return found
  })
}

async function openedBy(database: Database, code: string): Promise<OpenedByCode | undefined> {
  const lesson = await findLessonByCode(database, code)
  if (lesson?.archived) return undefined
  if (lesson) {
    const together = await askedIn(database, lesson)
    return together ? { together } : { lesson }
  }
  const together = await findTogetherByCode(database, code)
  return together && { together }
}
