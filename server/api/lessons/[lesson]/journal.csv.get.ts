import { writeTable } from '../../../../core/formats'
import { journalOf } from '../../../../core/record'
import { journalGroup, JOURNAL_WORDS, journalWords } from '../../../../core/wording'
import { notFound } from '../../../access/refusal'
import { lessonRoute } from '../../../access/route'
import { attachment } from '../../../files/attachment'
import { asCsvFile } from '../../../files/csv'
import { listOtherEvents } from '../../../database/announcing'
import { loadLesson } from '../../../record/wholeLesson'

/** The whole journal as CSV, one row for each thing that happened. */
export default lessonRoute<'GET /api/lessons/[lesson]/journal.csv'>({}, async ({ event, database, lesson }) => {
  const whole = await loadLesson(database, lesson.id)
  if (!whole) throw notFound('lesson')
  const { plan } = whole.lesson
  const lines = journalOf(whole.record, await listOtherEvents(database, lesson.id))
  const table = writeTable([
    ['time', 'what', 'group', 'words'],
    ...lines.map((line) => [line.at, JOURNAL_WORDS[line.event.kind], journalGroup(plan, line), journalWords(plan, line)]),
  ])
  return asCsvFile(event, attachment(plan, 'journal.csv'), table)
})
