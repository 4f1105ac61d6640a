import { SKILLS, type Report } from '../../reports'
import { type Judged, type LessonFace } from '../../lists'
import { dayWords } from '../days'
import { counted, lessonName } from '../names'
import { SKILL_WORDS } from './signs'

/** One lesson as the overview of a term shows it. */
export type TermLesson = { id: string } & Pick<LessonFace, 'title' | 'className' | 'date'> &
  Pick<Judged, 'conclusion' | 'agreed' | 'skills'> & { question: string; grade: string }

/** Which lessons a term takes in: `YYYY-MM-DD`, and the name of a class; empty for no bound. */
export interface Term {
  from: string
  to: string
  className: string
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
          date === '' ? 'no day' : dayWords(date).replaceAll(' ', '\u00a0'),
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
          lessons.flatMap(({ skills, title: name }) => (skills.includes(skill) ? [lessonName(name)] : [])).join('; ') || '–',
        ]),
      },
      ...(never.length > 0 && lessons.length > 0 ? [{ kind: 'text' as const, text: `Still to come: ${never.join(', ')}.` }] : []),
    ],
  }
}
