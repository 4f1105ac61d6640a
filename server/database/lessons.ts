import { randomInt, randomUUID } from 'node:crypto'
import { and, asc, desc, eq, inArray, isNull } from 'drizzle-orm'
import { migratePlan } from '../../core/formats'
import {
  USUAL_BOARD,
  WHOLE_CLASS,
  withBoardChange,
  type BoardChange,
  type BoardState,
  type LessonRecord,
  type Plan,
} from '../../core/lesson'
import { CODE_WORDS } from './codeWords'
import { listConclusions, toConclusion } from './conclusions'
import { lastEventNumber, storeAndAnnounce } from './events'
import type { Database } from './open'
import { Known } from './known'
import { listObservations, toObservation } from './observations'
import { listPredictions, toPrediction } from './predictions'
import type { StoredPicture } from './pictures'
import { listReadings, toReading } from './readings'
import { listRemarks, toRemark } from './remarks'
import { conclusions, lessons, observations, pictures, predictions, readings, remarks } from './schema'

export interface StoredLesson {
  id: string
  plan: Plan
  revision: number
  code: string
  board: BoardState
  archived: boolean
  savedAt: string
}

export interface WholeLesson {
  lesson: StoredLesson
  record: LessonRecord
  /** Number of the last event; the live stream goes on from here. */
  event: number
}

export const knownLessons = new Known<StoredLesson>()

export function findLesson(database: Database, id: string): Promise<StoredLesson | undefined> {
  return knownLessons.find(id, async () => {
    const [row] = await database.select().from(lessons).where(eq(lessons.id, id))
    return row && toLesson(row)
  })
}

export async function findLessonByCode(database: Database, code: string): Promise<StoredLesson | undefined> {
  const [row] = await database.select().from(lessons).where(eq(lessons.code, code))
  return row && toLesson(row)
}

/** The lesson with everything recorded in it. The event number is taken first, so that nothing falls between. */
export async function loadLesson(database: Database, id: string): Promise<WholeLesson | undefined> {
  const lesson = await findLesson(database, id)
  if (!lesson) return undefined
  const event = await lastEventNumber(database, id)
  return { lesson, record: await loadRecord(database, id), event }
}

async function loadRecord(database: Database, id: string): Promise<LessonRecord> {
  return {
    readings: await listReadings(database, id),
    predictions: await listPredictions(database, id),
    conclusions: await listConclusions(database, id),
    remarks: await listRemarks(database, id),
    observations: await listObservations(database, id),
  }
}

/** All lessons with their records, for the shelf: one question to the database for each table, however many lessons there are. */
export async function listLessons(database: Database): Promise<{ lesson: StoredLesson; record: LessonRecord }[]> {
  const rows = await database.select().from(lessons).orderBy(asc(lessons.createdAt))
  const record = {
    readings: byLesson(await database.select().from(readings).orderBy(asc(readings.sequence)), toReading),
    predictions: byLesson(await database.select().from(predictions).orderBy(asc(predictions.sequence)), toPrediction),
    conclusions: byLesson(await database.select().from(conclusions).orderBy(asc(conclusions.sequence)), toConclusion),
    remarks: byLesson(await database.select().from(remarks).orderBy(asc(remarks.sequence)), toRemark),
    observations: byLesson(await database.select().from(observations).orderBy(asc(observations.sequence)), toObservation),
  }
  return rows.map((row) => ({
    lesson: toLesson(row),
    record: {
      readings: record.readings.get(row.id) ?? [],
      predictions: record.predictions.get(row.id) ?? [],
      conclusions: record.conclusions.get(row.id) ?? [],
      remarks: record.remarks.get(row.id) ?? [],
      observations: record.observations.get(row.id) ?? [],
    },
  }))
}

function byLesson<Row extends { lesson: string }, One>(rows: Row[], toOne: (row: Row) => One): Map<string, One[]> {
  const lists = new Map<string, One[]>()
  for (const row of rows) {
    const list = lists.get(row.lesson)
    if (list) list.push(toOne(row))
    else lists.set(row.lesson, [toOne(row)])
  }
  return lists
}

/** Is any of these rows stored already, in whatever lesson. */
export async function rowsAreKnown(database: Database, record: LessonRecord): Promise<boolean> {
  const tables = [
    { table: readings, rows: record.readings },
    { table: predictions, rows: record.predictions },
    { table: conclusions, rows: record.conclusions },
    { table: remarks, rows: record.remarks },
    { table: observations, rows: record.observations },
  ]
  for (const { table, rows } of tables) {
    for (const some of chunks(rows.map(({ id }) => id))) {
      const [found] = await database.select({ id: table.id }).from(table).where(inArray(table.id, some)).limit(1)
      if (found) return true
    }
  }
  return false
}

/** Every lesson's plan, without its record. */
export async function listPlans(database: Database): Promise<StoredLesson[]> {
  return (await database.select().from(lessons)).map(toLesson)
}

/** The class of the newest lesson, for the next one. */
export async function lastClass(database: Database): Promise<{ className: string; children: number }> {
  const [row] = await database.select().from(lessons).where(isNull(lessons.archivedAt)).orderBy(desc(lessons.createdAt)).limit(1)
  return row ? { className: row.plan.className, children: row.plan.children } : { className: 'My class', children: 28 }
}

/** Stores a new lesson, with a record when it comes from a file, and with the pictures of its hook. */
export async function addLesson(
  database: Database,
  plan: Plan,
  record?: LessonRecord,
  hook: StoredPicture[] = [],
  { id = randomUUID(), archived = false }: { id?: string; archived?: boolean } = {},
): Promise<StoredLesson> {
  return database.transaction(async (transaction) => {
    const now = new Date()
    const archivedAt = archived ? now : null
    const row = { id, plan, revision: 1, code: await freeCode(transaction), createdAt: now, savedAt: now, archivedAt }
    await transaction.insert(lessons).values(row)
    const ofLesson = <T extends { at: string }>(rows: T[]) => rows.map((one) => ({ ...one, lesson: row.id, at: new Date(one.at) }))
    for (const some of chunks(ofLesson(record?.readings ?? []))) await transaction.insert(readings).values(some)
    for (const some of chunks(ofLesson(record?.predictions ?? []))) await transaction.insert(predictions).values(some)
    for (const some of chunks(ofLesson(record?.conclusions ?? []))) await transaction.insert(conclusions).values(some)
    for (const some of chunks(ofLesson(record?.remarks ?? []))) await transaction.insert(remarks).values(some)
    for (const some of chunks(ofLesson(record?.observations ?? []))) await transaction.insert(observations).values(some)
    for (const picture of hook) await transaction.insert(pictures).values({ ...picture, lesson: row.id, at: now })
    return toLesson({ ...row, board: null })
  })
}

export type SaveResult = { ok: true; revision: number } | { ok: false; code: 'stale'; revision: number }

/** Stores a plan that was edited from the given revision; refuses when somebody else saved meanwhile. */
export async function savePlan(database: Database, id: string, plan: Plan, revision: number): Promise<SaveResult> {
  const saved = await storeAndAnnounce(database, id, async (transaction, record) => {
    const [row] = await transaction
      .update(lessons)
      .set({ plan, revision: revision + 1, savedAt: new Date() })
      .where(and(eq(lessons.id, id), eq(lessons.revision, revision)))
      .returning({ revision: lessons.revision })
    if (row) await record([{ kind: 'plan', revision: row.revision }])
    return row
  })
  knownLessons.forget(id)
  if (saved) return { ok: true, revision: saved.revision }
  return { ok: false, code: 'stale', revision: (await findLesson(database, id))?.revision ?? 0 }
}

/** Changes what the board shows, and tells everybody who watches. */
export async function saveBoard(database: Database, id: string, change: BoardChange): Promise<BoardState> {
  const board = await storeAndAnnounce(database, id, async (transaction, record) => {
    const [row] = await transaction.select({ board: lessons.board }).from(lessons).where(eq(lessons.id, id)).for('update')
    const next = withBoardChange({ ...USUAL_BOARD, ...row?.board }, change)
    await transaction.update(lessons).set({ board: next }).where(eq(lessons.id, id))
    await record([{ kind: 'board', board: next }])
    return next
  })
  knownLessons.forget(id)
  return board
}

export async function setArchived(database: Database, id: string, archived: boolean): Promise<void> {
  await database
    .update(lessons)
    .set({ archivedAt: archived ? new Date() : null })
    .where(eq(lessons.id, id))
  knownLessons.forget(id)
}

/** Groups and conditions that have rows, and so must stay in the plan. */
export async function usedIds(database: Database, id: string): Promise<{ groups: Set<string>; conditions: Set<string> }> {
  const used = await database
    .selectDistinct({ group: readings.group, condition: readings.condition })
    .from(readings)
    .where(eq(readings.lesson, id))
  const predicted = await listPredictions(database, id)
  const sentences = (await listConclusions(database, id)).flatMap(({ group }) => (group === null ? [] : [{ group }]))
  return {
    groups: new Set(
      [...used, ...predicted, ...sentences, ...(await listRemarks(database, id)), ...(await listObservations(database, id))]
        .map((row) => row.group)
        .filter((group) => group !== WHOLE_CLASS),
    ),
    conditions: new Set([...used.map((row) => row.condition), ...predicted.flatMap((row) => row.order)]),
  }
}

async function freeCode(database: Database): Promise<string> {
  for (;;) {
    const code = `${CODE_WORDS[randomInt(CODE_WORDS.length)]} ${randomInt(10, 100)}`
    if (!(await findLessonByCode(database, code))) return code
  }
}

function toLesson(row: typeof lessons.$inferSelect): StoredLesson {
  return {
    id: row.id,
    plan: migratePlan(row.plan, row.plan.schemaVersion) as Plan,
    revision: row.revision,
    code: row.code,
    board: { ...USUAL_BOARD, ...row.board },
    archived: row.archivedAt !== null,
    savedAt: row.savedAt.toISOString(),
  }
}

function chunks<T>(rows: T[]): T[][] {
  return Array.from({ length: Math.ceil(rows.length / 500) }, (_, place) => rows.slice(place * 500, place * 500 + 500))
}
