import { randomUUID } from 'node:crypto'
import { and, asc, desc, eq, inArray, isNull } from 'drizzle-orm'
import { NEW_TOGETHER, withTogetherChange, type Together, type TogetherChange } from '../../core/together'
import { storeAndAnnounce } from './announcing'
import { knownLessons, toLesson, type StoredLesson } from './lessons'
import type { Database } from './open'
import { lessons, togethers } from './schema'
import { saveFace } from './summaries'

/** Lessons that run together, in the order in which they were joined. */
export interface StoredTogether {
  id: string
  code: string
  desk: string | null
  body: Together
  lessons: StoredLesson[]
}

export async function findTogether(database: Database, id: string): Promise<StoredTogether | undefined> {
  const [row] = await database.select().from(togethers).where(eq(togethers.id, id))
  return row && { ...stored(row), lessons: await lessonsOf(database, id) }
}

export async function findTogetherByCode(database: Database, code: string): Promise<StoredTogether | undefined> {
  const [row] = await database.select({ id: togethers.id }).from(togethers).where(eq(togethers.code, code))
  const found = row && (await findTogether(database, row.id))
  return found && found.lessons.length > 0 ? found : undefined
}

/** Those of a desk that have lessons, the newest first. */
export async function listTogethers(database: Database, at: string | null): Promise<StoredTogether[]> {
  const rows = await database
    .select()
    .from(togethers)
    .where(at === null ? undefined : eq(togethers.desk, at))
    .orderBy(desc(togethers.createdAt))
  const all = await database
    .select()
    .from(lessons)
    .where(
      and(
        inArray(
          lessons.together,
          rows.map(({ id }) => id),
        ),
        isNull(lessons.archivedAt),
      ),
    )
    .orderBy(asc(lessons.togetherSince))
  return rows
    .map((row) => ({ ...stored(row), lessons: all.filter(({ together }) => together === row.id).map(toLesson) }))
    .filter((one) => one.lessons.length > 0)
}

function stored({ id, code, desk: at, body }: typeof togethers.$inferSelect): Omit<StoredTogether, 'lessons'> {
  return { id, code, desk: at, body: { ...NEW_TOGETHER, ...body } }
}

async function lessonsOf(database: Database, id: string): Promise<StoredLesson[]> {
  const rows = await database
    .select()
    .from(lessons)
    .where(and(eq(lessons.together, id), isNull(lessons.archivedAt)))
    .orderBy(asc(lessons.togetherSince), asc(lessons.createdAt))
  return rows.map(toLesson)
}

/** @param code is free */
export async function addTogether(
  database: Database,
  { code, body, desk: at }: { code: string; body: Partial<Together>; desk: string | null },
): Promise<string> {
  const id = randomUUID()
  await database.insert(togethers).values({ id, code, desk: at, body: { ...NEW_TOGETHER, ...body }, createdAt: new Date() })
  return id
}

/** Which lessons run together from now on. A lesson keeps its own plan, record and code wherever it goes. */
export async function setLessons(database: Database, id: string, wanted: string[]): Promise<void> {
  const before = (await lessonsOf(database, id)).map(({ id: lesson }) => lesson)
  const gone = before.filter((lesson) => !wanted.includes(lesson))
  const come = wanted.filter((lesson) => !before.includes(lesson))
  for (const lesson of gone) await moveInto(database, lesson, null)
  for (const lesson of come) await moveInto(database, lesson, id)
  for (const lesson of before.filter((one) => !gone.includes(one))) await sayChanged(database, lesson)
}

/** A lesson stands alone again, whatever it ran together with. */
export function standAlone(database: Database, lesson: string): Promise<void> {
  return moveInto(database, lesson, null)
}

async function moveInto(database: Database, lesson: string, together: string | null): Promise<void> {
  await storeAndAnnounce(database, lesson, async (transaction, record) => {
    await transaction
      .update(lessons)
      .set({ together, togetherSince: together === null ? null : new Date() })
      .where(eq(lessons.id, lesson))
    await record([{ kind: 'together' }])
  })
  knownLessons.forget(lesson)
  await takeAnew(database, lesson)
}

/** Ends it: all lessons stand alone again. */
export async function removeTogether(database: Database, id: string): Promise<void> {
  await setLessons(database, id, [])
  await database.update(lessons).set({ together: null, togetherSince: null }).where(eq(lessons.together, id))
  await database.delete(togethers).where(eq(togethers.id, id))
}

/** Changes what they have in common, and tells everybody who watches one of them; undefined where they do not run together any more. */
export async function saveTogether(database: Database, id: string, change: TogetherChange): Promise<Together | undefined> {
  const body = await database.transaction(async (transaction) => {
    const [row] = await transaction.select().from(togethers).where(eq(togethers.id, id)).for('update')
    if (!row) return undefined
    const next = withTogetherChange({ ...NEW_TOGETHER, ...row.body }, change)
    await transaction.update(togethers).set({ body: next }).where(eq(togethers.id, id))
    return next
  })
  for (const { id: lesson } of await lessonsOf(database, id)) {
    await sayChanged(database, lesson)
    // Where all go round, a kit stands once and not with every group.
    if (change.way !== undefined || change.sets !== undefined) await takeAnew(database, lesson)
  }
  return body
}

function sayChanged(database: Database, lesson: string): Promise<void> {
  return storeAndAnnounce(database, lesson, (_transaction, record) => record([{ kind: 'together' }]))
}

/** What it takes out of the cupboard follows from how it runs. */
async function takeAnew(database: Database, lesson: string): Promise<void> {
  const [row] = await database.select().from(lessons).where(eq(lessons.id, lesson))
  if (row) await saveFace(database, lesson, toLesson(row).plan)
}
