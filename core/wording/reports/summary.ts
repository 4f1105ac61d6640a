import { classConclusion } from '../../agree'
import { takesOf, type School, type Takes } from '../../kit'
import type { LessonRecord, Plan, Stop } from '../../lesson'
import { skillsOf, type Skill } from '../../reports'
import { readinessOf, secondLook } from '../../secondLook'
import { evidenceOf, judgedBefore } from '../../evidence'
import { GRADE_NAMES, gradeName } from '../evidence'
import { question } from '../kinds'

/** What a list shows of a lesson that follows from its plan alone. */
export interface LessonFace {
  title: string
  question: string
  className: string
  date: string
  start: string
  takes: Takes
}

/** What a list shows of a lesson that takes working out. */
export interface Judged {
  /** How far its beaker is filled, 0 to 1. */
  level: number
  next: Stop | null
  /** Findings of the Second look that want mending. */
  troubles: number
  grade: string
  conclusion: string
  agreed: boolean
  skills: Skill[]
}

/** What a list shows of a lesson that nobody has judged yet. */
export const NOT_JUDGED: Judged = {
  level: 0,
  next: null,
  troubles: 0,
  grade: 'being worked out',
  conclusion: '',
  agreed: false,
  skills: [],
}

/**
 * The face of a lesson.
 * @example faceOf(plan).title // => 'Soak-up strips'
 */
export function faceOf(plan: Plan): LessonFace {
  const asks = plan.measured !== null && (plan.changed !== null || plan.kind === 'over-time')
  return {
    title: plan.title,
    question: asks ? question(plan) : '',
    className: plan.className,
    date: plan.date,
    start: plan.clock.start,
    takes: takesOf(plan),
  }
}

/** How ready a lesson is, what there is to mend in it, and what came of it. */
export function judgedOf(plan: Plan, record: LessonRecord, school: School): Judged {
  const findings = secondLook(plan, record, school)
  const readiness = readinessOf(plan, record, findings)
  const conclusion = classConclusion(record.conclusions)
  return {
    level: readiness.level,
    next: readiness.next ?? null,
    troubles: findings.filter(({ severity }) => severity !== 'note').length,
    grade: gradeWords(plan, record),
    conclusion: conclusion?.text ?? '',
    agreed: conclusion?.agreed ?? false,
    skills: skillsOf(plan, record),
  }
}

/** The grade, and that another one stood here before. */
function gradeWords(plan: Plan, record: LessonRecord): string {
  const evidence = evidenceOf(plan, record)
  const before = judgedBefore(plan, record)
  const anew = before === undefined ? '' : ` (judged anew; was ${GRADE_NAMES[before].toLowerCase()})`
  return `${evidence ? gradeName(evidence) : GRADE_NAMES['nothing-yet']}${anew}`
}
