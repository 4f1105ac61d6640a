import { setResponseHeader } from 'h3'
import { calendarFileSchema } from '../../../../schemas/school'
import { lessonRoute } from '../../../access/route'
import { Refusal } from '../../../access/refusal'
import { attachment } from '../../../lesson/attachment'
import { gettingReadyCalendar, readingDaysCalendar } from '../../../lesson/calendarFile'
import { schoolFor } from '../../../lesson/school'

/** The getting-ready list or the reading days as a calendar file. */
export default lessonRoute({ query: calendarFileSchema }, async ({ database, lesson, query, event }) => {
  if (lesson.plan.date === '' || (query.what === 'getting-ready' && lesson.plan.clock.start === '')) {
    throw new Refusal(409, {
      code: 'no-date',
      message: 'The lesson has no day or no start yet. Choose both at the Clock, then save the calendar file.',
      field: 'plan.date',
    })
  }
  const school = (await schoolFor(database))(lesson)
  setResponseHeader(event, 'content-type', 'text/calendar; charset=utf-8')
  setResponseHeader(event, 'content-disposition', attachment(lesson.plan, `${query.what}.ics`))
  return query.what === 'getting-ready' ? gettingReadyCalendar(lesson, school) : readingDaysCalendar(lesson, school)
})
