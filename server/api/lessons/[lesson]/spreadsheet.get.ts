import { setResponseHeader } from 'h3'
import { homed } from '../../../../core/record'
import { lessonRoute } from '../../../access/route'
import { notFound } from '../../../access/refusal'
import { attachment } from '../../../files/attachment'
import { lessonSpreadsheet } from '../../../files/spreadsheet'
import { loadLesson } from '../../../record/wholeLesson'

/** Results, readings and the plan as a spreadsheet. */
export default lessonRoute<'GET /api/lessons/[lesson]/spreadsheet'>({}, async ({ event, database, lesson }) => {
  const whole = await loadLesson(database, lesson.id)
  if (!whole) throw notFound('lesson')
  setResponseHeader(event, 'content-type', 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet')
  setResponseHeader(event, 'content-disposition', attachment(lesson.plan, 'xlsx'))
  return lessonSpreadsheet(whole.lesson.plan, homed(whole.lesson.plan, whole.record).record)
})
