import { classConclusion } from '../../agree'
import { evidenceOf, judgedBefore } from '../../evidence'
import type { LessonRecord, Plan } from '../../lesson'
import { SKILLS, skillsOf, type Report, type Skill } from '../../reports'
import { GRADE_NAMES, gradeName } from '../evidence'
import { question } from '../kinds'
import { dayWords } from '../kit'
import { counted } from '../names'
import { SKILL_WORDS } from './signs'

/** One lesson as the overview of a term shows it. */
export interface TermLesson {
  id: string
  title: string
  className: string
  date: string
  question: string
  grade: string
  conclusion: string
  agreed: boolean
  skills: Skill[]
}

/** Which lessons a term takes in: `YYYY-MM-DD`, and the name of a class; empty for no bound. */
export interface Term {
  from: string
  to: string
  className: string
}

/** What a lesson brings to the overview. */
function termLesson({ id, plan }: { id: string; plan: Plan }, record: LessonRecord): TermLesson {
  const conclusion = classConclusion(record.conclusions)
  return {
    id,
    title: plan.title,
    className: plan.className,
    date: plan.date,
    question: plan.measured && (plan.changed || plan.kind === 'over-time') ? question(plan) : '',
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

/** The lessons that a term takes in, by their days; one without a day is in every term that has no end, and comes last. */
export function lessonsInTerm(
  all: { lesson: { id: string; plan: Plan }; record: LessonRecord }[],
  { from, to, className }: Term,
): TermLesson[] {
  const last = '9999'
  return all
    .filter(({ lesson: { plan } }) => className === '' || plan.className === className)
    .filter(({ lesson: { plan } }) => plan.date >= from && (to === '' || (plan.date !== '' && plan.date <= to)))
    .map(({ lesson, record }) => termLesson(lesson, record))
    .sort((a, b) => (a.date || last).localeCompare(b.date || last))
}

/** What was investigated in a term, and which skills were practised how often. */
export function termOverview(lessons: TermLesson[], { from, to, className }: Term): Report {
  const practised = SKILLS.map((skill) => ({ skill, times: lessons.filter(({ skills }) => skills.includes(skill)).length }))
  const never = practised.filter(({ times }) => times === 0).map(({ skill }) => SKILL_WORDS[skill].toLowerCase())
  const days = [from && `from ${dayWords(from)}`, to && `to ${dayWords(to)}`].filter(Boolean).join(' ')
  return {
    title: 'What we investigated',
    under: [className === '' ? 'All classes' : `Class ${className}`, days].filter(Boolean).join(', '),
    question: counted(lessons.length, 'investigation'),
    blocks: [
      {
        kind: 'table',
        caption: 'What was investigated',
        head: ['Day', 'Class', 'Question', 'What the class found', 'How sure'],
        figures: false,
        rows: lessons.map(({ date, className, question, title: name, conclusion, agreed, grade }) => [
          date === '' ? 'no day' : dayWords(date),
          className,
          question || name,
          conclusion === '' ? 'no conclusion yet' : `${conclusion}${agreed ? '' : ' (a draft)'}`,
          grade,
        ]),
      },
      { kind: 'heading', text: 'Which skills were practised' },
      {
        kind: 'table',
        caption: 'Skills',
        head: ['Skill', 'Times', 'In'],
        figures: false,
        rows: practised.map(({ skill, times }) => [
          SKILL_WORDS[skill],
          String(times),
          lessons
            .flatMap(({ skills, title: name }) => (skills.includes(skill) ? [name || 'a lesson without a name'] : []))
            .join('; ') || '–',
        ]),
      },
      ...(never.length > 0 && lessons.length > 0
        ? [{ kind: 'text' as const, text: `Not practised yet: ${never.join(', ')}.` }]
        : []),
    ],
  }
}
