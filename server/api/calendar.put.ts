import { calendarSchema } from '../../schemas/school'
import { deskRoute } from '../access/route'
import { saveCalendar } from '../database/calendars'

/** When a class has school. */
export default deskRoute<'PUT /api/calendar'>({ body: calendarSchema }, async ({ database, body }) => {
  await saveCalendar(database, body.className, body.calendar)
  return { calendar: body.calendar }
})
