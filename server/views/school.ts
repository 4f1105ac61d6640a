import { createHash } from 'node:crypto'
import { USUAL_CALENDAR } from '../../core/clock'
import { bookingsOf, type Booking, type School } from '../../core/kit'
import type { LessonFace } from '../../core/wording/reports'
import { listCalendars } from '../database/calendars'
import { countedBack, heldDaysOf, listThings } from '../database/cupboard'
import type { Database } from '../database/open'
import { listTakings } from '../database/summaries'

/** What the lessons on the shelf take out of the cupboard; those that were counted back have given it back. */
export async function bookingsOfShelf(database: Database, things: School['things'], held: School['held']): Promise<Booking[]> {
  const done = await countedBack(database)
  const lessons = await listTakings(database)
  return lessons.filter(({ id }) => !done.has(id)).flatMap((lesson) => bookingsOf(lesson, things, held))
}

/** The school as each lesson sees it: everything is read once, however many lessons ask. */
export async function schoolFor(database: Database): Promise<(lesson: string, className: string) => School> {
  const things = await listThings(database)
  const held = await heldDaysOf(database)
  const bookings = await bookingsOfShelf(database, things, held)
  const calendars = await listCalendars(database)
  return (lesson, className) => ({
    things,
    held,
    bookings,
    lesson,
    calendar: calendars.get(className) ?? USUAL_CALENDAR,
  })
}

/** Only what can make a difference to a lesson: the things it takes, and who else takes those. */
export function ownSchool(school: School, { takes }: Pick<LessonFace, 'takes'>): School {
  const taken = new Set(takes.of.map(({ thing }) => thing))
  return {
    ...school,
    things: school.things.filter(({ id }) => taken.has(id)),
    bookings: school.bookings.filter(({ thing, lesson }) => taken.has(thing) && lesson !== school.lesson),
  }
}

/** A short name for a school as it is: another one means that something changed. */
export function nameOfSchool(school: School): string {
  return createHash('sha1').update(JSON.stringify(school)).digest('base64')
}
