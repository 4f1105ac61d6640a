import { createHash } from 'node:crypto'
import { USUAL_CALENDAR } from '../../core/clock'
import { bookingsBefore, bookingsInOrder, bookingsOf, kitchenOf, type Booking, type School } from '../../core/kit'
import type { LessonFace } from '../../core/lists'
import { listCalendars } from '../database/calendars'
import { countedBack, customsOf, heldDaysOf, listThings } from '../database/cupboard'
import type { Database } from '../database/open'
import { listTakings } from '../database/summaries'

const PIECE = 50

/** What the lessons on the shelf take out of the cupboard; those that were counted back have given it back. */
export async function bookingsOfShelf(
  database: Database,
  { things, held, customs }: Pick<School, 'things' | 'held' | 'customs'>,
): Promise<Booking[]> {
  const done = await countedBack(database)
  const bookings: Booking[] = []
  for (const [place, lesson] of (await listTakings(database)).entries()) {
    if (!done.has(lesson.id)) bookings.push(...bookingsOf(lesson, things, held, kitchenOf(customs)))
    // Whoever knocks meanwhile is heard.
    if (place % PIECE === PIECE - 1) await new Promise((heard) => setImmediate(heard))
  }
  return bookings
}

/** The school as each lesson sees it: everything is read once, however many lessons ask. */
export async function schoolFor(database: Database): Promise<(lesson: string, className: string) => School> {
  const things = await listThings(database)
  const held = await heldDaysOf(database)
  const customs = await customsOf(database)
  const bookings = await bookingsOfShelf(database, { things, held, customs })
  const calendars = await listCalendars(database)
  return (lesson, className) => ({
    things,
    held,
    customs,
    bookings,
    lesson,
    calendar: calendars.get(className) ?? USUAL_CALENDAR,
  })
}

/** The school, to be looked at by many lessons one after the other. */
export interface SchoolBooks {
  of(lesson: string, face: LessonFace): School
}

/** The school with only what can make a difference to each lesson: the things it takes, and who takes those before it. */
export async function readBooks(database: Database): Promise<SchoolBooks> {
  const whole = (await schoolFor(database))('', '')
  const calendars = await listCalendars(database)
  const things = new Map(whole.things.map((thing) => [thing.id, thing]))
  const inOrder = bookingsInOrder(whole.bookings)
  return {
    of: (lesson, face) => ({
      things: [...new Set(face.takes.of.map(({ thing }) => thing))].flatMap((id) => things.get(id) ?? []),
      held: whole.held,
      customs: whole.customs,
      bookings: bookingsBefore(inOrder, { id: lesson, ...face }, whole.held),
      lesson,
      calendar: calendars.get(face.className) ?? USUAL_CALENDAR,
    }),
  }
}

/** A short name for a school as a lesson sees it: another one means that something changed which makes a difference. */
export function nameOfSchool({ things, held, customs, bookings, calendar }: School): string {
  const taken = new Map<string, number>()
  for (const { thing, amount } of bookings) taken.set(thing, (taken.get(thing) ?? 0) + amount)
  return createHash('sha1')
    .update(JSON.stringify([things, held, [...taken], calendar, kitchenOf(customs)]))
    .digest('base64')
}
