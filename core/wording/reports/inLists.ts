import { question } from '../question'
import type { Plan } from '../../lesson'
import type { Judged, TableGrade } from '../../lists'
import { forMeasure, kindOf } from '../../test'
import { answerSentences, gradeName } from '../evidence'
import { GRADE_NAMES } from '../grades'
import { tableName } from '../severalTables'

/**
 * The question of a lesson, as a list shows it; empty while there is none yet.
 * @example questionInList(plan).endsWith('?') // => true
 */
export function questionInList(plan: Plan): string {
  const asks = plan.measured !== null && (plan.changed !== null || kindOf(plan).watches)
  return asks ? question(plan) : ''
}

/** The grade, what an unfair set-up can answer all the same, and that another grade stood here before; of several tables the grade of each. */
export function gradeInList(plan: Plan, judged: Pick<Judged, 'grades' | 'before'> | null): string {
  if (!judged) return 'being worked out'
  const tables = judged.grades.map((table) => ({ ...table, ...ownPlan(plan, table) }))
  const [only] = tables
  if (!only) return GRADE_NAMES['nothing-yet']
  if (tables.length > 1) return tables.map((table) => `${tableName(table, tables)}: ${gradeName(table).toLowerCase()}`).join('; ')
  const before = judged.before === null ? '' : ` (judged anew; was ${GRADE_NAMES[judged.before].toLowerCase()})`
  const answers = answerSentences(plan, only.answers).map((sentence) => `. ${sentence.replace(/\.$/, '')}`)
  return `${gradeName(only)}${answers.join('')}${before}`
}

/** The plan as one table sees it; what a table was of may be gone from the plan until it is judged anew. */
function ownPlan(plan: Plan, { measured, series }: TableGrade) {
  const there = plan.measures.some(({ id }) => id === measured)
  return { plan: there ? forMeasure(plan, measured) : plan, series: plan.series.find(({ id }) => id === series) }
}
