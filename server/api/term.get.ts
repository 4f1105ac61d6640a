import { classConclusion } from '../../core/agree'
import { evidenceOf } from '../../core/evidence'
import { skillsOf } from '../../core/reports'
import { GRADE_NAMES, KIND_WORDS, question } from '../../core/wording'
import type { TermLesson } from '../../core/wording/reports'
import { termSchema } from '../../schemas/requests'
import { deskRoute } from '../access/route'
import { listLessons } from '../database/lessons'

/** What was investigated between two days, and what it practised; put-away lessons are among it. */
export default deskRoute({ query: termSchema }, async ({ database, query: { from, to, className } }) => {
  const all = await listLessons(database)
  const within = all.filter(
    ({ lesson: { plan } }) =>
      (className === '' || plan.className === className) &&
      (from === '' || plan.date >= from) &&
      (to === '' || (plan.date !== '' && plan.date <= to)),
  )
  const lessons = within.map(({ lesson: { id, plan }, record }): TermLesson => {
    const conclusion = classConclusion(record.conclusions)
    return {
      id,
      title: plan.title,
      className: plan.className,
      date: plan.date,
      question: plan.measured && (plan.changed || plan.kind === 'over-time') ? question(plan) : '',
      kind: KIND_WORDS[plan.kind].name,
      grade: GRADE_NAMES[evidenceOf(plan, record)?.grade ?? 'nothing-yet'],
      conclusion: conclusion?.text ?? '',
      agreed: conclusion?.agreed ?? false,
      skills: skillsOf(plan, record),
    }
  })
  const classes = [...new Set(all.map(({ lesson }) => lesson.plan.className))].sort()
  return { lessons: lessons.sort((a, b) => (a.date || '9999').localeCompare(b.date || '9999')), classes }
})
