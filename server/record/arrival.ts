import { randomUUID } from 'node:crypto'
import { and, eq, inArray, isNull, like } from 'drizzle-orm'
import { EVERY_KIND, type AnyRow, type ListName, type Plan } from '../../core/lesson'
import type { Together } from '../../core/together'
import { announce } from '../database/hearing'
import type { Database } from '../database/open'
import { addPicture, forgetPieces, type StoredPicture } from '../database/pictures'
import { events, lessons, picturePieces, pictures, ROW_TABLES, settings, summaries, warmUps } from '../database/schema'
import { saveSetting } from '../database/settings'
import { saveFace } from '../database/summaries'
import { addTogether, setLessons } from '../database/togethers'
import { freeCode } from './wholeLesson'
import { insertRows } from './rows'

/** Lessons that run together in a file, by the ids that they get here. */
interface ArrivingTogether {
  lessons: string[]
  together: Together
  desk: string | null
}

/** What is kept of a file that is being put in place: whether all of it is there, and what is then to be done. */
interface Stored {
  complete: boolean
  /** When it last went on. */
  at: string
  togethers: ArrivingTogether[]
}

const PREFIX = 'arrival '
const SHOWN_AT_ONCE = 20
const DELETED_AT_ONCE = 200
/** A process that is at work on one says so more often than this. */
const GIVEN_UP_AFTER = 3_600_000

/**
 * Lessons out of a file come in many small pieces, between which stations write. Nobody sees them until the last piece is there; then all of them are shown. Where it ends before
 * (a damaged file, a cut), they are taken away again: all in one go or not at all.
 */
export class Arrival {
  private readonly id = randomUUID()
  private readonly togethers: ArrivingTogether[] = []

  constructor(
    private readonly database: Database,
    private readonly desk: string | null,
  ) {}

  /** Begins a lesson under this id; false where another lesson has it. */
  async begin(id: string, plan: Plan, archived: boolean): Promise<boolean> {
    await this.say(false)
    return this.database.transaction(async (transaction) => {
      const now = new Date()
      const row = { id, plan, revision: 1, code: await freeCode(transaction), createdAt: now, savedAt: now, desk: this.desk }
      const added = await transaction
        .insert(lessons)
        .values({ ...row, arriving: this.id, archivedAt: archived ? now : null })
        .onConflictDoNothing({ target: lessons.id })
        .returning({ id: lessons.id })
      if (added.length > 0) await saveFace(transaction, id, plan)
      return added.length > 0
    })
  }

  /** Some rows of a lesson that was begun; false where another lesson has one of them already. */
  async addRows(lesson: string, list: ListName, rows: AnyRow[]): Promise<boolean> {
    const kind = EVERY_KIND.find((one) => one.list === list)!
    return (await insertRows(this.database, kind, lesson, rows)).size === rows.length
  }

  async addPicture(lesson: string, picture: StoredPicture): Promise<void> {
    await addPicture(this.database, lesson, picture)
  }

  /** The rows of a lesson come once more. */
  async empty(lesson: string): Promise<void> {
    await deleteContent(this.database, lesson)
  }

  /** These run together once they are here. */
  runTogether(ids: string[], together: Together): void {
    this.togethers.push({ lessons: ids, together, desk: this.desk })
  }

  /** Shows everything. @returns what runs together now */
  async complete(): Promise<string[]> {
    await this.say(true)
    return finish(this.database, this.id, this.togethers)
  }

  /** Takes away what came, unless it was completed. */
  async giveUp(): Promise<void> {
    await drop(this.database, this.id)
  }

  private say(complete: boolean): Promise<void> {
    const stored: Stored = { complete, at: new Date().toISOString(), togethers: complete ? this.togethers : [] }
    return saveSetting(this.database, `${PREFIX}${this.id}`, stored)
  }
}

let mended: Promise<void> = Promise.resolve()

/** After a cut: what was complete is shown, what was not is taken away. @param alone no other process is at work on one */
export function mendArrivals(database: Database, alone: boolean): Promise<void> {
  mended = mend(database, alone)
  return mended
}

/** What was cut off last time is out of the way: before that, half a lesson would be taken for one that is here. */
export async function cutsMended(): Promise<void> {
  await mended.catch(() => undefined)
}

async function mend(database: Database, alone: boolean): Promise<void> {
  if (alone) await forgetPieces(database)
  const rows = await database
    .select()
    .from(settings)
    .where(like(settings.name, `${PREFIX}%`))
  for (const { name, value } of rows) {
    const id = name.slice(PREFIX.length)
    const { complete, at, togethers } = value as Stored
    if (!alone && Date.now() - Date.parse(at) < GIVEN_UP_AFTER) continue
    await (complete ? finish(database, id, togethers) : drop(database, id))
  }
}

async function finish(database: Database, id: string, togethers: ArrivingTogether[]): Promise<string[]> {
  for (let shown = 1; shown > 0;) {
    const some = database.select({ id: lessons.id }).from(lessons).where(eq(lessons.arriving, id)).limit(SHOWN_AT_ONCE)
    shown = (await database.update(lessons).set({ arriving: null }).where(inArray(lessons.id, some)).returning({ id: lessons.id }))
      .length
  }
  const made: string[] = []
  for (const one of togethers) {
    const set = await putTogether(database, one)
    if (set !== undefined) made.push(set)
  }
  await database.delete(settings).where(eq(settings.name, `${PREFIX}${id}`))
  await announce(database, { what: 'school' })
  return made
}

/** Lessons that came back alone run together again; those that run with others already stay as they are. */
async function putTogether(database: Database, { lessons: ids, together, desk }: ArrivingTogether): Promise<string | undefined> {
  const rows = await database
    .select({ id: lessons.id })
    .from(lessons)
    .where(and(inArray(lessons.id, ids), isNull(lessons.together), isNull(lessons.arriving)))
  const alone = new Set(rows.map((row) => row.id))
  const here = ids.filter((one) => alone.has(one))
  if (here.length < 2) return undefined
  const set = await database.transaction(async (transaction) =>
    addTogether(transaction, { code: await freeCode(transaction), body: together, desk }),
  )
  await setLessons(database, set, here)
  return set
}

async function drop(database: Database, id: string): Promise<void> {
  const rows = await database.select({ id: lessons.id }).from(lessons).where(eq(lessons.arriving, id))
  for (const { id: lesson } of rows) {
    await deleteContent(database, lesson)
    await database.delete(summaries).where(eq(summaries.lesson, lesson))
    await database.delete(events).where(eq(events.lesson, lesson))
    await database.delete(warmUps).where(eq(warmUps.lesson, lesson))
    await database.delete(lessons).where(and(eq(lessons.id, lesson), eq(lessons.arriving, id)))
  }
  await database.delete(settings).where(eq(settings.name, `${PREFIX}${id}`))
}

/** Rows and pictures of a lesson that nobody has seen, a few at a time. */
async function deleteContent(database: Database, lesson: string): Promise<void> {
  for (const { list } of EVERY_KIND) {
    const table = ROW_TABLES[list]
    for (let gone = DELETED_AT_ONCE; gone === DELETED_AT_ONCE;) {
      const some = database.select({ id: table.id }).from(table).where(eq(table.lesson, lesson)).limit(DELETED_AT_ONCE)
      gone = (await database.delete(table).where(inArray(table.id, some)).returning({ id: table.id })).length
    }
  }
  await database.delete(picturePieces).where(eq(picturePieces.lesson, lesson))
  await database.delete(pictures).where(eq(pictures.lesson, lesson))
}
