import { lastEventNumber, watchOwn } from '../database/announcing'
import { afterAway, hear } from '../database/hearing'
import { isAway } from '../database/away'
import { findLesson, listLessonIds } from '../database/lessons'
import type { Database } from '../database/open'
import { log } from '../lookedAfter/log'
import { forgetJudged, listSummaries, saveFace, saveJudged, withoutFace, type Summary } from '../database/summaries'
import { loadRecord } from '../record/rows'
import { judge } from './judge'
import { nameOfSchool, readBooks, type SchoolBooks } from './school'

/** A lesson in which something goes on is judged when it has been quiet for so long, or has gone on for so long. */
const QUIET = 3000
const AT_LATEST = 30_000
/** Between two lessons, stations are heard. */
const REST = 25
/** Whoever looks at a list waits for a few lessons that changed, and not for many. */
const WORTH_WAITING_FOR = 4
const PATIENCE = 600
const CHECKED_AT_ONCE = 20

/** Lessons to be judged, the next one first. */
const line = new Set<string>()
let working: Promise<void> | undefined
const quietTimers = new Map<string, { timer: NodeJS.Timeout; since: number }>()

/** Begins to keep the summaries up to date: what another version made, what changed while nobody looked, and whatever happens. */
export async function keepSummaries(database: Database): Promise<void> {
  for (const id of await withoutFace(database)) {
    const lesson = await findLesson(database, id)
    if (!lesson) continue
    await saveFace(database, id, lesson.plan)
    await forgetJudged(database, id)
    await rest(0)
  }
  watchOwn((lesson) => renewWhenQuiet(database, lesson))
  const lookThrough = () => {
    books = undefined
    clearTimeout(sweep)
    sweep = setTimeout(() => void renewAll(database).catch(() => undefined), QUIET).unref()
  }
  hear(({ what }) => what === 'school' && lookThrough())
  afterAway(lookThrough)
  lookThrough()
}

/** Something of the whole school changed: what that makes a difference to is judged anew, little by little. */
async function renewAll(database: Database): Promise<void> {
  const lessons = await listLessonIds(database)
  // What is put away stands in the term's overview only, and can wait.
  const ids = [...lessons.filter(({ archived }) => !archived), ...lessons.filter(({ archived }) => archived)].map(({ id }) => id)
  for (let from = 0; from < ids.length; from += CHECKED_AT_ONCE) {
    const some = await listSummaries(database, ids.slice(from, from + CHECKED_AT_ONCE))
    void renew(database, staleOf(some, await booksNow(database)))
    await rest(REST)
  }
}

let books: { read: Promise<SchoolBooks>; at: number } | undefined
let sweep: NodeJS.Timeout | undefined

/** The school, read once for many lessons; forgotten when it changes. */
function booksNow(database: Database): Promise<SchoolBooks> {
  if (!books || Date.now() - books.at > AT_LATEST) books = { read: readBooks(database), at: Date.now() }
  return books.read
}

/**
 * Judges what is out of date among these, and waits for it where it is little.
 * @param withSchool what is shown depends on the cupboard and the calendar as well
 * @returns how many were out of date, and how many of them still are
 */
export async function renewShown(
  database: Database,
  shown: Summary[],
  withSchool: boolean,
): Promise<{ stale: number; left: number }> {
  const stale = withSchool
    ? staleOf(shown, await booksNow(database))
    : shown.flatMap(({ id, outOfDate }) => (outOfDate ? [id] : []))
  if (stale.length === 0) return { stale: 0, left: 0 }
  // What somebody looks at comes first.
  const later = [...line].filter((id) => !stale.includes(id))
  line.clear()
  const done = renew(database, [...stale, ...later])
  if (stale.length > WORTH_WAITING_FOR) return { stale: stale.length, left: stale.length }
  let left = stale.length
  const each = stale.map((id) => judgedSoon(id, done).then(() => (left -= 1)))
  await Promise.race([Promise.all(each), rest(PATIENCE)])
  return { stale: stale.length, left }
}

function staleOf(summaries: Summary[], school: SchoolBooks): string[] {
  return summaries.flatMap(({ id, face, outOfDate, judgedWith }) => {
    const stale = outOfDate || judgedWith !== nameOfSchool(school.of(id, face))
    return stale ? [id] : []
  })
}

function renewWhenQuiet(database: Database, lesson: string): void {
  const earlier = quietTimers.get(lesson)
  const since = earlier?.since ?? Date.now()
  clearTimeout(earlier?.timer)
  const wait = Math.max(0, Math.min(QUIET, since + AT_LATEST - Date.now()))
  const timer = setTimeout(() => {
    quietTimers.delete(lesson)
    void renew(database, [lesson])
  }, wait)
  timer.unref()
  quietTimers.set(lesson, { timer, since })
}

const listeners = new Map<string, (() => void)[]>()

function judgedSoon(id: string, end: Promise<void>): Promise<void> {
  const own = new Promise<void>((resolve) => listeners.set(id, [...(listeners.get(id) ?? []), resolve]))
  return Promise.race([own, end])
}

function renew(database: Database, ids: string[]): Promise<void> {
  for (const id of ids) line.add(id)
  working ??= work(database).finally(() => (working = undefined))
  return working
}

async function work(database: Database): Promise<void> {
  for (let [id] = line; id !== undefined; [id] = line) {
    line.delete(id)
    // One that could not be judged is looked at again when somebody next asks.
    await judgeOne(database, id).catch(
      (error: unknown) => isAway(error) || log.error({ err: error }, 'a lesson could not be looked through'),
    )
    for (const heard of listeners.get(id) ?? []) heard()
    listeners.delete(id)
    await rest(REST)
  }
}

async function judgeOne(database: Database, id: string): Promise<void> {
  const lesson = await findLesson(database, id)
  const [summary] = await listSummaries(database, [id])
  if (!lesson || !summary) return
  const event = await lastEventNumber(database, id)
  const record = await loadRecord(database, id)
  const own = (await booksNow(database)).of(id, summary.face)
  const judged = await judge({ plan: lesson.plan, record, school: own })
  await saveJudged(database, id, judged, { revision: lesson.revision, event, school: nameOfSchool(own) })
}

function rest(milliseconds: number): Promise<void> {
  return new Promise((next) => setTimeout(next, milliseconds).unref())
}
