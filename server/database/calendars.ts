import type { Calendar } from '../../core/clock'
import { announce } from './hearing'
import type { Database } from './open'
import { calendars } from './schema'

/** When each class has school, by the name of the class. */
export async function listCalendars(database: Database): Promise<Map<string, Calendar>> {
  const rows = await database.select().from(calendars)
  return new Map(rows.map(({ className, calendar }) => [className, calendar]))
}

export async function saveCalendar(database: Database, className: string, calendar: Calendar): Promise<void> {
  await database
    .insert(calendars)
    .values({ className, calendar })
    .onConflictDoUpdate({ target: calendars.className, set: { calendar } })
  await announce(database, { what: 'school' })
}
