import { and, asc, eq, gt, inArray, max, sql } from 'drizzle-orm'
import type { LessonEvent } from '../../core/lesson'
import { afterAway, announce, hear } from './hearing'
import type { Database } from './open'
import { events } from './schema'

/** As it goes over the line, written out once for all who watch. */
export interface WrittenEvent {
  number: number
  body: LessonEvent
  data: string
}

type Listener = (event: WrittenEvent) => void

/** The events of one lesson, read once for all who watch it in this process. */
interface Feed {
  listeners: Set<Listener>
  /** The number from which on listeners are told. */
  begun: Promise<void>
  last: number
  reading: boolean
  /** Something was announced while it read. */
  again: boolean
  database: Database
}

const feeds = new Map<string, Feed>()

/** Calls back for every further event of a lesson, in their order; the answer, which comes when it has begun, ends it. */
export async function watch(database: Database, lesson: string, listener: Listener): Promise<() => void> {
  const feed = feeds.get(lesson) ?? beginFeed(database, lesson)
  feed.listeners.add(listener)
  const end = () => {
    feed.listeners.delete(listener)
    if (feed.listeners.size === 0 && feeds.get(lesson) === feed) feeds.delete(lesson)
  }
  await feed.begun.catch((error: unknown) => {
    end()
    throw error
  })
  return end
}

function beginFeed(database: Database, lesson: string): Feed {
  const feed: Feed = { listeners: new Set(), begun: Promise.resolve(), last: 0, reading: true, again: false, database }
  feed.begun = lastEventNumber(database, lesson).then((number) => {
    feed.last = number
    feed.reading = false
    if (feed.again) void readOn(lesson, feed)
  })
  feeds.set(lesson, feed)
  return feed
}

async function readOn(lesson: string, feed: Feed): Promise<void> {
  feed.again = true
  if (feed.reading) return
  feed.reading = true
  try {
    while (feed.again) {
      feed.again = false
      for (const event of await listEventsSince(feed.database, lesson, feed.last)) {
        feed.last = event.number
        for (const listener of feed.listeners) listener(event)
      }
    }
  } catch {
    // The database is away: when it is back, everybody looks anew.
  } finally {
    feed.reading = false
  }
}

hear((announcement) => {
  if (announcement.what !== 'lesson') return
  const feed = feeds.get(announcement.lesson)
  if (feed) void readOn(announcement.lesson, feed)
})
afterAway(() => {
  for (const [lesson, feed] of feeds) void readOn(lesson, feed)
})

const ownListeners = new Set<(lesson: string) => void>()

/** Calls back with every lesson in which this process wrote something. */
export function watchOwn(listener: (lesson: string) => void): void {
  ownListeners.add(listener)
}

/** Writes events into a lesson that is locked. */
export type RecordEvents = (bodies: LessonEvent[], lesson?: string) => Promise<void>

/**
 * Runs work in one transaction together with the events it records, and tells everybody who watches the lesson once all of it is
 * stored. Work that fails tells nobody anything. One lesson's transactions come one after the other, in whatever process: so the
 * numbers of its events are stored in their order, nobody who has seen one has missed a lower one, and what the work checks (is this group still in the plan) stays
 * true until it has written.
 */
export function storeAndAnnounce<T>(
  database: Database,
  lesson: string,
  work: (transaction: Database, record: RecordEvents) => Promise<T>,
): Promise<T> {
  return storeInSeveral(database, [lesson], work)
}

/**
 * The same for work about several lessons: all of them are locked, in the order of their ids, so that no two wait for each other.
 * @param lessons or what finds them, and locks what has to be locked before any lesson
 */
export async function storeInSeveral<T>(
  database: Database,
  lessons: string[] | ((transaction: Database) => Promise<string[]>),
  work: (transaction: Database, record: RecordEvents) => Promise<T>,
): Promise<T> {
  const recorded = new Set<string>()
  const answer = await database.transaction(async (transaction) => {
    const named = typeof lessons === 'function' ? await lessons(transaction) : lessons
    for (const lesson of [...new Set(named)].sort()) await lock(transaction, lesson)
    return work(transaction, async (bodies, lesson = named[0]!) => {
      if (bodies.length === 0) return
      recorded.add(lesson)
      const at = new Date()
      await transaction.insert(events).values(bodies.map((body) => ({ lesson, body, at })))
      await announce(transaction, { what: 'lesson', lesson })
    })
  })
  for (const lesson of recorded) for (const listener of ownListeners) listener(lesson)
  return answer
}

/** Nobody else writes about it until the transaction is over. Lessons that run together are locked by the id of what they have in common, before any of the lessons. */
export async function lock(transaction: Database, id: string): Promise<void> {
  await transaction.execute(sql`select pg_advisory_xact_lock(hashtextextended(${id}, 0))`)
}

export async function listEventsSince(database: Database, lesson: string, since: number): Promise<WrittenEvent[]> {
  const rows = await database
    .select({ number: events.number, body: events.body })
    .from(events)
    .where(and(eq(events.lesson, lesson), gt(events.number, since)))
    .orderBy(asc(events.number))
  return rows.map(({ number, body }) => ({ number, body, data: JSON.stringify(body) }))
}

export async function lastEventNumber(database: Database, lesson: string): Promise<number> {
  const [row] = await database
    .select({ number: max(events.number) })
    .from(events)
    .where(eq(events.lesson, lesson))
  return row?.number ?? 0
}

/** What happened besides the rows of the record: the plan's changes, the board's, the stations'. */
export async function listOtherEvents(database: Database, lesson: string): Promise<{ at: string; body: LessonEvent }[]> {
  const kinds: LessonEvent['kind'][] = ['plan', 'board', 'station', 'together']
  const rows = await database
    .select({ at: events.at, body: events.body })
    .from(events)
    .where(and(eq(events.lesson, lesson), inArray(sql`${events.body}->>'kind'`, kinds)))
    .orderBy(asc(events.number))
  return rows.map(({ at, body }) => ({ at: at.toISOString(), body }))
}
