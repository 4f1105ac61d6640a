import { EventEmitter } from 'node:events'
import { and, asc, eq, gt, inArray, max, sql } from 'drizzle-orm'
import type { LessonEvent } from '../../core/lesson'
import type { Database } from './open'
import { events } from './schema'

interface NumberedEvent {
  number: number
  body: LessonEvent
}

/** As it goes over the line, written out once for all who watch. */
export interface WrittenEvent extends NumberedEvent {
  data: string
}

const EVERY_LESSON = 'every lesson'
const SCHOOL = 'school'
const emitter = new EventEmitter()
emitter.setMaxListeners(0)

/** Calls back for every further event of a lesson; the answer ends it. */
export function watch(lesson: string, listener: (event: WrittenEvent) => void): () => void {
  emitter.on(lesson, listener)
  return () => emitter.off(lesson, listener)
}

/** Calls back with every lesson in which something happened. */
export function watchAll(listener: (lesson: string) => void): void {
  emitter.on(EVERY_LESSON, listener)
}

/** The cupboard, a calendar or what lessons take changed. */
export function announceSchool(): void {
  emitter.emit(SCHOOL)
}

export function watchSchool(listener: () => void): void {
  emitter.on(SCHOOL, listener)
}

/**
 * Runs work in one transaction together with the events it records, and tells everybody who watches the lesson once all of it is
 * stored. Work that fails tells nobody anything.
 */
export async function storeAndAnnounce<T>(
  database: Database,
  lesson: string,
  work: (transaction: Database, record: (bodies: LessonEvent[]) => Promise<void>) => Promise<T>,
): Promise<T> {
  const recorded: NumberedEvent[] = []
  const answer = await database.transaction((transaction) =>
    work(transaction, async (bodies) => {
      if (bodies.length === 0) return
      const at = new Date()
      const rows = await transaction
        .insert(events)
        .values(bodies.map((body) => ({ lesson, body, at })))
        .returning({ number: events.number, body: events.body })
      recorded.push(...rows)
    }),
  )
  for (const event of recorded) emitter.emit(lesson, written(event))
  if (recorded.length > 0) emitter.emit(EVERY_LESSON, lesson)
  return answer
}

export async function listEventsSince(database: Database, lesson: string, since: number): Promise<WrittenEvent[]> {
  const rows = await database
    .select({ number: events.number, body: events.body })
    .from(events)
    .where(and(eq(events.lesson, lesson), gt(events.number, since)))
    .orderBy(asc(events.number))
  return rows.map(written)
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
  const kinds: LessonEvent['kind'][] = ['plan', 'board', 'station']
  const rows = await database
    .select({ at: events.at, body: events.body })
    .from(events)
    .where(and(eq(events.lesson, lesson), inArray(sql`${events.body}->>'kind'`, kinds)))
    .orderBy(asc(events.number))
  return rows.map(({ at, body }) => ({ at: at.toISOString(), body }))
}

function written({ number, body }: NumberedEvent): WrittenEvent {
  return { number, body, data: JSON.stringify(body) }
}
