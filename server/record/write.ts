import {
  supersededBy,
  WHOLE_CLASS,
  type AnyKind,
  type AnyRow,
  type LessonEvent,
  type ListName,
  type RowKindName,
  type Source,
} from '../../core/lesson'
import { refusal, type Refusal } from '../access/refusal'
import { storeAndAnnounce } from '../database/announcing'
import { readPlan, type StoredLesson } from '../database/lessons'
import type { Database } from '../database/open'
import { checkPlaces } from './places'
import { findRows, groupsThatBegan, holdsMoreThan, insertRows } from './rows'

type Kind = AnyKind<RowKindName, ListName>

/** Rows as they are stored now, and how many of them were new. */
export interface Written {
  rows: AnyRow[]
  added: number
}

/**
 * Writes rows down, all or none, with the time they were entered at. A row that is there already is not written again, so that
 * sending twice stores once; a row may supersede only one of the same lesson and group. What comes in while the database is busy
 * goes into the next transaction together: a class that writes all at once needs few of them.
 */
export function writeRows(
  database: Database,
  lesson: StoredLesson,
  kind: Kind,
  said: object[],
  stamp: { by: Source; at: string },
): Promise<Written> {
  const stamps = 'by' in kind.columns ? stamp : { at: stamp.at }
  return addRows(
    database,
    lesson,
    kind,
    said.map((row) => ({ ...row, ...stamps }) as AnyRow),
  )
}

/** The same for rows that have been stamped before: of a table or a file. */
export function addRows(database: Database, lesson: StoredLesson, kind: Kind, rows: AnyRow[]): Promise<Written> {
  return new Promise((resolve, reject) => {
    const line = lines.get(lesson.id)
    if (line) line.push({ lesson, kind, rows, resolve, reject })
    else {
      lines.set(lesson.id, [{ lesson, kind, rows, resolve, reject }])
      void writeLine(database, lesson.id)
    }
  })
}

interface Waiting {
  lesson: StoredLesson
  kind: Kind
  rows: AnyRow[]
  resolve(written: Written): void
  reject(error: unknown): void
}

const MOST_TOGETHER = 50
/** What waits to be written, by lesson; a lesson has a line as long as one of its transactions runs. */
const lines = new Map<string, Waiting[]>()

async function writeLine(database: Database, id: string): Promise<void> {
  for (let line = lines.get(id)!; line.length > 0; line = lines.get(id)!) {
    // The embedded database holds the thread until a transaction is over: whoever knocked meanwhile is heard first.
    await new Promise((heard) => setImmediate(heard))
    const { kind, lesson } = line[0]!
    const others = line.findIndex((waiting) => waiting.kind !== kind)
    const together = line.splice(0, Math.min(MOST_TOGETHER, others === -1 ? line.length : others))
    const all = together.flatMap(({ rows }) => rows)
    const whole = together.length === 1 ? undefined : await store(database, lesson, kind, all).catch(() => undefined)
    if (whole) {
      const stored = new Map(whole.rows.map((row) => [row.id, row]))
      for (const { rows, resolve } of together) {
        resolve({ rows: rows.map(({ id }) => stored.get(id)!), added: rows.filter(({ id }) => whole.fresh.delete(id)).length })
      }
    } else {
      // Something in it cannot be stored: one by one, so that it stops nobody else.
      for (const { rows, resolve, reject } of together)
        await store(database, lesson, kind, rows).then(
          ({ rows: stored, fresh }) => resolve({ rows: stored, added: fresh.size }),
          reject,
        )
    }
  }
  lines.delete(id)
}

/** Checked where it is written: nobody changes the plan, splits the lesson or joins it to another between the two. */
function store(
  database: Database,
  stored: StoredLesson,
  kind: Kind,
  said: AnyRow[],
): Promise<{ rows: AnyRow[]; fresh: Set<string> }> {
  const lesson = stored.id
  return storeAndAnnounce(database, lesson, async (transaction, record) => {
    const plan = await readPlan(transaction, stored)
    const rows = kind.stamped.includes('late') ? await withLate(transaction, lesson, said) : said
    const fresh = await insertRows(transaction, kind, lesson, rows)
    checkPlaces(
      plan,
      kind,
      rows.filter(({ id }) => fresh.has(id)),
    )
    await checkCount(transaction, lesson, kind, fresh.size)
    const superseded = rows.flatMap((row) => supersededBy(kind, row) ?? [])
    const known = await findRows(transaction, kind, [...rows.flatMap(({ id }) => (fresh.has(id) ? [] : [id])), ...superseded])
    const trouble = troubleOf(lesson, kind, rows, known)
    if (trouble) throw trouble
    const now = new Map([...known.map(({ row }) => row), ...rows.filter(({ id }) => fresh.has(id))].map((row) => [row.id, row]))
    await record([...fresh].map((id) => ({ kind: kind.kind, [kind.kind]: now.get(id)! }) as unknown as LessonEvent))
    return { rows: rows.map(({ id }) => now.get(id)!), fresh }
  })
}

/** A lesson keeps no more rows than its file may hold. */
async function checkCount(database: Database, lesson: string, kind: Kind, more: number): Promise<void> {
  if (more > 0 && (await holdsMoreThan(database, kind, lesson, kind.most)))
    throw refusal(409, 'too-many-rows', undefined, { most: kind.most })
}

/** After the group's first counted reading (the class's first, for the whole class) a prediction is kept as a change of mind. */
async function withLate(database: Database, lesson: string, rows: AnyRow[]): Promise<AnyRow[]> {
  const began = await groupsThatBegan(database, lesson)
  return rows.map((row) => Object.assign({}, row, { late: row.group === WHOLE_CLASS ? began.size > 0 : began.has(row.group!) }))
}

/** A row whose id another lesson or group has, so that nobody is answered with what is another's, or that takes the place of one which is not of this lesson and group. */
function troubleOf(lesson: string, kind: Kind, rows: AnyRow[], known: { lesson: string; row: AnyRow }[]): Refusal | undefined {
  const said = new Map(rows.map((row) => [row.id, row.group]))
  if (known.some(({ lesson: of, row }) => said.has(row.id) && (of !== lesson || said.get(row.id) !== row.group)))
    return refusal(409, 'id-taken', 'id')
  const groupOf = new Map(known.filter((other) => other.lesson === lesson).map(({ row }) => [row.id, row.group]))
  const lost = rows.some((row) => {
    const earlier = supersededBy(kind, row)
    return earlier !== null && groupOf.get(earlier) !== row.group
  })
  return lost ? refusal(409, 'supersedes-unknown', kind.supersedes) : undefined
}
