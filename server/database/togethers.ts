import { randomUUID } from 'node:crypto'
import { and, asc, desc, eq, inArray, isNull } from 'drizzle-orm'
import { NEW_TOGETHER, withTogetherChange, type Together, type TogetherChange } from '../../core/together'
import { lock, storeInSeveral, type RecordEvents } from './announcing'
import { knownLessons, toLesson, type StoredLesson } from './lessons'
import type { Database } from './open'
import { lessons, togethers } from './schema'
import { knownStations } from './stations'
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
  return row && withLessons(stored(row), await lessonsOf(database, id))
}

/** Parts of one lesson are joined with its code. */
function withLessons(one: Omit<StoredTogether, 'lessons'>, its: StoredLesson[]): StoredTogether {
  return { ...one, code: one.body.oneLesson && its[0] ? its[0].code : one.code, lessons: its }
}

/** The lesson that this one is a part of, or that its groups ask their own questions in; undefined of any other. */
export async function wholeOf(
  database: Database,
  { together }: Pick<StoredLesson, 'together'>,
): Promise<StoredTogether | undefined> {
  const found = together === null ? undefined : await findTogether(database, together)
  return found?.body.oneLesson ? found : undefined
}

/** The groups' own questions of this very lesson, itself first; undefined where its groups ask none. */
export async function askedIn(
  database: Database,
  lesson: Pick<StoredLesson, 'id' | 'together'>,
): Promise<StoredTogether | undefined> {
  const whole = await wholeOf(database, lesson)
  return whole?.lessons[0]?.id === lesson.id ? whole : undefined
}

/** All of its lessons, also those that were put away. */
export async function everyLessonOf(database: Database, id: string): Promise<string[]> {
  const rows = await database.select({ id: lessons.id }).from(lessons).where(eq(lessons.together, id))
  return rows.map((row) => row.id)
}

/** It stands on another desk, with all of its lessons. */
export async function moveToDesk(database: Database, id: string, desk: string | null): Promise<void> {
  await database.update(togethers).set({ desk }).where(eq(togethers.id, id))
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
    .map((row) => withLessons(stored(row), all.filter(({ together }) => together === row.id).map(toLesson)))
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

/**
 * Runs work about lessons that run together, in one transaction. Until it is over nobody else changes which ones they are, and nobody writes into one of them: what
 * joins at the same time joins one after the other, and no group is between two lessons while it writes.
 * @param come lessons that may come in
 */
export async function changeTogether<T>(
  database: Database,
  id: string,
  come: string[],
  work: (transaction: Database, together: StoredTogether | undefined, record: RecordEvents) => Promise<T>,
): Promise<T> {
  const find = async (transaction: Database) => {
    await lock(transaction, id)
    return [...(await lessonsOf(transaction, id)).map((lesson) => lesson.id), ...come]
  }
  try {
    return await storeInSeveral(database, find, async (transaction, record) =>
      work(transaction, await findTogether(transaction, id), record),
    )
  } finally {
    knownLessons.forgetAll()
    knownStations.forgetAll()
  }
}

/** Which lessons run together from now on. A lesson keeps its own plan, record and code wherever it goes. */
export async function putTogether(
  transaction: Database,
  record: RecordEvents,
  { id, lessons: before }: Pick<StoredTogether, 'id' | 'lessons'>,
  wanted: string[],
): Promise<void> {
  const known = before.map((lesson) => lesson.id)
  const since = Date.now()
  for (const lesson of known.filter((one) => !wanted.includes(one))) await moveInto(transaction, lesson, null, since)
  for (const [place, lesson] of wanted.entries())
    if (!known.includes(lesson)) await moveInto(transaction, lesson, id, since + place)
  for (const lesson of new Set([...known, ...wanted])) await record([{ kind: 'together' }], lesson)
}

/** The same by itself. @param seen the lessons that whoever chose knew of: one that came in since stays */
export async function setLessons(database: Database, id: string, wanted: string[], seen?: string[]): Promise<void> {
  await changeTogether(database, id, wanted, async (transaction, together, record) => {
    if (!together) return
    const cameSince = together.lessons.flatMap((lesson) => (seen === undefined || seen.includes(lesson.id) ? [] : [lesson.id]))
    await putTogether(transaction, record, together, [...new Set([...wanted, ...cameSince])])
  })
}

/** A lesson stands alone again. */
export async function standAlone(database: Database, id: string, lesson: string): Promise<void> {
  await changeTogether(database, id, [lesson], async (transaction, together, record) => {
    const others = together?.lessons.flatMap((one) => (one.id === lesson ? [] : [one.id])) ?? []
    if (together) await putTogether(transaction, record, together, others)
  })
}

async function moveInto(transaction: Database, lesson: string, together: string | null, since: number): Promise<void> {
  await transaction
    .update(lessons)
    .set({ together, togetherSince: together === null ? null : new Date(since) })
    .where(eq(lessons.id, lesson))
  await takeAnew(transaction, lesson)
}

/** Ends it: all lessons stand alone again. */
export async function removeTogether(database: Database, id: string): Promise<void> {
  await changeTogether(database, id, [], async (transaction, together, record) => {
    if (!together) return
    await putTogether(transaction, record, together, [])
    await transaction.update(lessons).set({ together: null, togetherSince: null }).where(eq(lessons.together, id))
    await transaction.delete(togethers).where(eq(togethers.id, id))
  })
}

/** Changes what they have in common, and tells everybody who watches one of them; undefined where they do not run together any more. */
export async function saveTogether(database: Database, id: string, change: TogetherChange): Promise<Together | undefined> {
  return changeTogether(database, id, [], async (transaction, together, record) => {
    if (!together) return undefined
    const body = withTogetherChange(together.body, change)
    await transaction.update(togethers).set({ body }).where(eq(togethers.id, id))
    for (const { id: lesson } of together.lessons) {
      await record([{ kind: 'together' }], lesson)
      // Where all go round, a kit stands once and not with every group.
      if (change.way !== undefined || change.sets !== undefined) await takeAnew(transaction, lesson)
    }
    return body
  })
}

/** What it takes out of the cupboard follows from how it runs. */
async function takeAnew(database: Database, lesson: string): Promise<void> {
  const [row] = await database.select().from(lessons).where(eq(lessons.id, lesson))
  if (row) await saveFace(database, lesson, toLesson(row).plan)
}
