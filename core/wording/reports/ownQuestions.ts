import { checkPlan } from '../../fairness'
import type { LessonRecord, Plan } from '../../lesson'
import type { Block } from '../../reports'
import { overviewOf, ownRows, type Found, type Together } from '../../together'
import { fairWords } from '../fairness'
import { question } from '../question'
import { foundWords } from '../runningTogether'

/** What a lesson in which each group asks its own question consists of: the lesson itself, then one for each question; and the class's sentence across all. */
export interface OwnQuestions {
  parts: { lesson: string; plan: Plan; record: LessonRecord }[]
  together: Pick<Together, 'conclusion' | 'agreed'>
}

/** What is said of one group's own question on desk and paper. */
export interface OwnRowWords {
  lesson: string
  question: string
  fair: { mark: string; verdict: string } | undefined
  done: string
  /** Undefined while nothing was measured. */
  found: string | undefined
}

/** @param lesson in which the group asks; undefined where it has no question, or none that was begun */
export function ownRowWords(name: string, lesson: string | undefined, found: Found[]): OwnRowWords | undefined {
  const own = found.find((one) => one.lesson === lesson)
  if (!own) return undefined
  const check = checkPlan(own.plan)
  const group = own.groups.find((one) => one.name === name)
  return {
    lesson: own.lesson,
    question: question(own.plan),
    fair: check && fairWords(own.plan, check),
    done: `${group?.done ?? 0}\u00a0of\u00a0${group?.all ?? 0}`,
    found: own.done > 0 ? foundWords(own) : undefined,
  }
}

/** A row a group: what it asked, whether that was fair, how far it came and what it found. */
export function ownQuestionsBlocks({ parts }: OwnQuestions): Block[] {
  const found = overviewOf(parts)
  const rows = ownRows(parts).map(({ name, asks }) => {
    const own = ownRowWords(name, asks ?? parts[0]?.lesson, found)
    if (!own || (asks === undefined && !own.found)) return [name, 'No question of its own.', '', '', '']
    const { fair } = own
    return [name, own.question, fair ? `${fair.mark} ${fair.verdict}` : 'not yet', own.done, own.found ?? 'nothing yet']
  })
  return [
    { kind: 'heading', text: 'What each group asked, and found' },
    {
      kind: 'table',
      caption: 'Each group’s own question',
      head: ['Group', 'Its question', 'Fair?', 'Done', 'Found'],
      rows,
      figures: false,
    },
  ]
}

/** How far a sentence of the class is. */
export const agreedWords = (agreed: boolean) => (agreed ? 'Agreed by the class' : 'A draft')

/** The class's sentence across all questions; undefined while there is none. */
export function acrossAllBlock({ together }: OwnQuestions): Block | undefined {
  const { conclusion, agreed } = together
  return conclusion === '' ? undefined : { kind: 'quote', text: conclusion, note: `${agreedWords(agreed)}.` }
}
