import { checkPlan } from '../../fairness'
import type { LessonRecord, Plan } from '../../lesson'
import type { Block } from '../../reports'
import { overviewOf, ownRows, type Together } from '../../together'
import { fairWords } from '../fairness'
import { question } from '../question'
import { foundWords } from '../runningTogether'

/** What a lesson in which each group asks its own question consists of: the lesson itself, then one for each question; and the class's sentence across all. */
export interface OwnQuestions {
  parts: { lesson: string; plan: Plan; record: LessonRecord }[]
  together: Pick<Together, 'conclusion' | 'agreed'>
}

/** A row a group: what it asked, whether that was fair, how far it came and what it found. */
export function ownQuestionsBlocks({ parts }: OwnQuestions): Block[] {
  const found = overviewOf(parts)
  const rows = ownRows(parts).map(({ name, asks }) => {
    const own = found.find(({ lesson }) => lesson === (asks ?? parts[0]?.lesson))
    const group = own?.groups.find((one) => one.name === name)
    if (!own || (asks === undefined && own.done === 0)) return [name, 'No question of its own.', '', '', '']
    const check = checkPlan(own.plan)
    const fair = check && fairWords(own.plan, check)
    return [
      name,
      question(own.plan),
      fair ? `${fair.mark} ${fair.verdict}` : 'not yet',
      `${group?.done ?? 0}\u00a0of\u00a0${group?.all ?? 0}`,
      foundWords(own),
    ]
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

/** The class's sentence across all questions; undefined while there is none. */
export function acrossAllBlock({ together }: OwnQuestions): Block | undefined {
  const { conclusion, agreed } = together
  return conclusion === '' ? undefined : { kind: 'quote', text: conclusion, note: agreed ? 'Agreed by the class.' : 'A draft.' }
}
