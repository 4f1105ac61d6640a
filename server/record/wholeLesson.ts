import { randomInt, randomUUID } from 'node:crypto'
import { sql } from 'drizzle-orm'
import { EVERY_KIND, rowsOf, type LessonRecord, type Plan } from '../../core/lesson'
import type { WholeLesson } from '../../schemas/contract'
import { lastEventNumber } from '../database/announcing'
import { CODE_WORDS } from '../database/codeWords'
import { findLesson, findLessonByCode, toLesson, type StoredLesson } from '../database/lessons'
import type { Database } from '../database/open'
import { findTogetherByCode } from '../database/togethers'
import { addPicture, type StoredPicture } from '../database/pictures'
import { lessons } from '../database/schema'
import { saveFace } from '../database/summaries'
import { insertRows, loadRecord } from './rows'

const CHOOSING_CODES = 7_205_119

/** The lesson with everything recorded in it. The event number is taken first, so that nothing falls between. */
export async function loadLesson(database: Database, id: string): Promise<WholeLesson | undefined> {
  const event = await lastEventNumber(database, id)
  const lesson = await findLesson(database, id)
  if (!lesson) return undefined
  return { lesson, record: await loadRecord(database, id), event }
}

/** Stores a new lesson, with a record when it comes from a file, and with the pictures of its hook. */
export async function addLesson(
  database: Database,
  plan: Plan,
  record?: LessonRecord,
  hook: StoredPicture[] = [],
  { id = randomUUID(), archived = false, desk = null }: { id?: string; archived?: boolean; desk?: string | null } = {},
): Promise<StoredLesson> {
  return database.transaction(async (transaction) => {
    const now = new Date()
    const archivedAt = archived ? now : null
    const row = { id, plan, revision: 1, code: await freeCode(transaction), createdAt: now, savedAt: now, archivedAt, desk }
    await transaction.insert(lessons).values(row)
    await saveFace(transaction, id, plan)
    if (record) for (const kind of EVERY_KIND) await insertRows(transaction, kind, id, rowsOf(record, kind))
    for (const picture of hook) await addPicture(transaction, id, picture)
    return toLesson({ ...row, arriving: null, board: null, together: null, togetherSince: null })
  })
}

const ASKED_FOR_SHORT = 20

/** A code that neither a lesson has nor several that run together; one lesson after the other looks for one, in whatever process. Where many are taken it gets longer. */
export async function freeCode(database: Database): Promise<string> {
  await database.execute(sql`select pg_advisory_xact_lock(${CHOOSING_CODES})`)
  for (let asked = 0; ; asked += 1) {
    const most = asked < ASKED_FOR_SHORT ? 100 : 10_000
    const code = `${CODE_WORDS[randomInt(CODE_WORDS.length)]} ${randomInt(most / 10, most)}`
    if (!(await findLessonByCode(database, code)) && !(await findTogetherByCode(database, code))) return code
  }
}
