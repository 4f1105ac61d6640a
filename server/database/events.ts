import { and, asc, eq, gt, inArray, max, sql } from 'drizzle-orm'
import type { LessonEvent } from '../../core/lesson'
import { announce, type NumberedEvent } from '../live/events'
import type { Database } from './open'
import { events } from './schema'

export type RecordEvents = (bodies: LessonEvent[]) => Promise<void>

/**
 * Runs work in one transaction together with the events it records, and tells everybody who watches the lesson once all of it is
 * stored. Work that fails tells nobody anything.
 */
export async function storeAndAnnounce<T>(
  database: Database,
  lesson: string,
  work: (transaction: Database, record: RecordEvents) => Promise<T>,
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
  for (const event of recorded) announce(lesson, event)
  return answer
}

export async function listEventsSince(database: Database, lesson: string, since: number): Promise<NumberedEvent[]> {
  return database
    .select({ number: events.number, body: events.body })
    .from(events)
    .where(and(eq(events.lesson, lesson), gt(events.number, since)))
    .orderBy(asc(events.number))
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
