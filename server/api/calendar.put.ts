import { MOST_IN_LIBRARY } from '../../schemas/library'
import { calendarSchema } from '../../schemas/school'
import { refusal } from '../access/refusal'
import { deskRoute } from '../access/route'
import { listCalendars, saveCalendar } from '../database/calendars'

/** When a class has school. */
export default deskRoute<'PUT /api/calendar'>({ body: calendarSchema }, async ({ database, body }) => {
  const known = await listCalendars(database)
  if (known.size >= MOST_IN_LIBRARY.calendars && !known.has(body.className))
    throw refusal(409, 'too-many-rows', 'className', { most: MOST_IN_LIBRARY.calendars })
  await saveCalendar(database, body.className, body.calendar)
  return { calendar: body.calendar }
})
