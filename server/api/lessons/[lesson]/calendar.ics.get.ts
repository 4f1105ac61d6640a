import { setResponseHeader } from 'h3'
import { calendarFileSchema } from '../../../../schemas/school'
import { lessonRoute } from '../../../access/route'
import { refusal } from '../../../access/refusal'
import { attachment } from '../../../files/attachment'
import { gettingReadyCalendar, readingDaysCalendar } from '../../../files/calendarFile'
import { schoolFor } from '../../../views/school'

/** The getting-ready list or the reading days as a calendar file. */
export default lessonRoute<'GET /api/lessons/[lesson]/calendar.ics'>(
  { query: calendarFileSchema },
  async ({ database, lesson, query, event }) => {
    if (lesson.plan.date === '' || (query.what === 'getting-ready' && lesson.plan.clock.start === ''))
      throw refusal(409, 'no-date', 'plan.date')
    const school = (await schoolFor(database))(lesson.id, lesson.plan.className)
    setResponseHeader(event, 'content-type', 'text/calendar; charset=utf-8')
    setResponseHeader(event, 'content-disposition', attachment(lesson.plan, `${query.what}.ics`))
    return query.what === 'getting-ready' ? gettingReadyCalendar(lesson, school) : readingDaysCalendar(lesson, school)
  },
)
