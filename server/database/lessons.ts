import { and, desc, eq, isNull } from 'drizzle-orm'
import { migratePlan } from '../../core/formats'
import { USUAL_BOARD, withBoardChange, type BoardChange, type BoardState, type Plan } from '../../core/lesson'
import type { DeskLesson } from '../../schemas/contract'
import { storeAndAnnounce, type RecordEvents } from './announcing'
import { announce } from './hearing'
import { Known } from './known'
import type { Database } from './open'
import { lessons } from './schema'
import { seenAt } from './seenAt'
import { saveFace } from './summaries'

export type StoredLesson = DeskLesson

export const knownLessons = new Known<StoredLesson>()

export function findLesson(database: Database, id: string): Promise<StoredLesson | undefined> {
  return knownLessons.find(id, async () => {
    const [row] = await database
      .select()
      .from(lessons)
      .where(and(eq(lessons.id, id), isNull(lessons.arriving)))
    return row && toLesson(row)
  })
}

export async function findLessonByCode(database: Database, code: string): Promise<StoredLesson | undefined> {
  const [row] = await database.select().from(lessons).where(eq(lessons.code, code))
  return row && toLesson(row)
}

/** The id of every lesson that a desk sees, and whether it is put away. */
export async function listLessonIds(database: Database, desk: string | null = null): Promise<{ id: string; archived: boolean }[]> {
  const rows = await database
    .select({ id: lessons.id, archivedAt: lessons.archivedAt })
    .from(lessons)
    .where(seenAt(desk))
    .orderBy(lessons.createdAt)
  return rows.map(({ id, archivedAt }) => ({ id, archived: archivedAt !== null }))
}

/** Hands a lesson to another desk. */
export async function handOver(database: Database, id: string, desk: string | null): Promise<void> {
  await database.transaction(async (transaction) => {
    await transaction.update(lessons).set({ desk }).where(eq(lessons.id, id))
    await announce(transaction, { what: 'handed-over', lesson: id })
  })
  knownLessons.forget(id)
}

/** The class of a desk's newest lesson, for the next one. */
export async function lastClass(database: Database, desk: string | null): Promise<{ className: string; children: number }> {
  const [row] = await database
    .select()
    .from(lessons)
    // What runs together may be a part of the class.
    .where(and(isNull(lessons.archivedAt), isNull(lessons.together), seenAt(desk)))
    .orderBy(desc(lessons.createdAt))
    .limit(1)
  return row ? { className: row.plan.className, children: row.plan.children } : { className: 'My class', children: 28 }
}

/** The lesson as this transaction sees it, and not as it may be remembered. */
export async function readLesson(transaction: Database, id: string): Promise<StoredLesson | undefined> {
  const [row] = await transaction.select().from(lessons).where(eq(lessons.id, id))
  return row && toLesson(row)
}

/** The plan as it stands, read again only where it is another revision than the one that is remembered. */
export async function readPlan(
  transaction: Database,
  { id, revision, plan }: Pick<StoredLesson, 'id' | 'revision' | 'plan'>,
): Promise<Plan> {
  const [now] = await transaction.select({ revision: lessons.revision }).from(lessons).where(eq(lessons.id, id))
  return now?.revision === revision ? plan : ((await readLesson(transaction, id))?.plan ?? plan)
}

/** Writes a plan down within a transaction that has locked the lesson; answers its new revision. */
export async function writePlan(
  transaction: Database,
  record: RecordEvents,
  { id, revision }: Pick<StoredLesson, 'id' | 'revision'>,
  plan: Plan,
): Promise<number> {
  const next = revision + 1
  await transaction.update(lessons).set({ plan, revision: next, savedAt: new Date() }).where(eq(lessons.id, id))
  await saveFace(transaction, id, plan)
  await record([{ kind: 'plan', revision: next }], id)
  return next
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
  await database.transaction(async (transaction) => {
    await transaction
      .update(lessons)
      .set({ archivedAt: archived ? new Date() : null })
      .where(eq(lessons.id, id))
    await announce(transaction, { what: 'archived', lesson: id })
    await announce(transaction, { what: 'school' })
  })
  knownLessons.forget(id)
}

export function toLesson(row: typeof lessons.$inferSelect): StoredLesson {
  return {
    id: row.id,
    plan: migratePlan(row.plan, row.plan.schemaVersion) as Plan,
    revision: row.revision,
    code: row.code,
    board: { ...USUAL_BOARD, ...row.board },
    archived: row.archivedAt !== null,
    desk: row.desk,
    together: row.together,
    savedAt: row.savedAt.toISOString(),
  }
}
