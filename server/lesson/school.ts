import { USUAL_CALENDAR } from '../../core/clock'
import { bookingsOf, type Booking, type School } from '../../core/kit'
import { listCalendars } from '../database/calendars'
import { countedBack, heldDaysOf, listThings } from '../database/cupboard'
import { listPlans, type StoredLesson } from '../database/lessons'
import type { Database } from '../database/open'

type Asking = Pick<StoredLesson, 'id' | 'plan'>

/** What the lessons on the shelf take out of the cupboard; those that were counted back have given it back. */
export async function bookingsOfShelf(database: Database, things: School['things'], held: School['held']): Promise<Booking[]> {
  const done = await countedBack(database)
  const lessons = await listPlans(database)
  return lessons.filter(({ id, archived }) => !archived && !done.has(id)).flatMap((lesson) => bookingsOf(lesson, things, held))
}

/** The school as each lesson sees it: everything is read once, however many lessons ask. */
export async function schoolFor(database: Database): Promise<(lesson: Asking) => School> {
  const things = await listThings(database)
  const held = await heldDaysOf(database)
  const bookings = await bookingsOfShelf(database, things, held)
  const calendars = await listCalendars(database)
  return ({ id, plan }) => ({
    things,
    held,
    bookings,
    lesson: id,
    calendar: calendars.get(plan.className) ?? USUAL_CALENDAR,
  })
}
