import { question } from '../question'
import { classConclusion } from '../../agree'
import { smallBars, type SmallBar } from '../../charts'
import { takesOf, type School, type Takes } from '../../kit'
import type { Kind, LessonRecord, Plan } from '../../lesson'
import { homed } from '../../record'
import { skillsOf, type Skill } from '../../reports'
import { hourOf, mattersOf, readinessOf, secondLook, type Hour } from '../../secondLook'
import { everyTable, judgedBefore } from '../../evidence'
import { occasionsOf, type Occasion } from '../../term'
import { answerSentences, gradeName } from '../evidence'
import { GRADE_NAMES } from '../grades'
import { matterWords, type MatterWords } from '../matters'
import { gradesInOne } from '../severalTables'
import { kindOf } from '../../test'

/** What a list shows of a lesson that follows from its plan alone. */
export interface LessonFace {
  title: string
  question: string
  className: string
  date: string
  start: string
  takes: Takes
  kind: Kind
  /** Which ready investigation it was started from. */
  investigation: string | null
  /** What it gives occasion to practise. */
  practises: Occasion[]
}

/** What a list shows of a lesson that takes working out. */
export interface Judged {
  /** How far its beaker is filled, 0 to 1. */
  level: number
  hour: Hour
  /** What it waits for, the most urgent first; all else is only counted. */
  matters: { first: MatterWords | null; more: number }
  /** A small picture of what came out, where something did. */
  picture: SmallBar[]
  grade: string
  conclusion: string
  agreed: boolean
  skills: Skill[]
}

/** What a list shows of a lesson that nobody has judged yet. */
export const NOT_JUDGED: Judged = {
  level: 0,
  hour: 'before',
  matters: { first: null, more: 0 },
  picture: [],
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
  const asks = plan.measured !== null && (plan.changed !== null || kindOf(plan).watches)
  return {
    title: plan.title,
    question: asks ? question(plan) : '',
    className: plan.className,
    date: plan.date,
    start: plan.clock.start,
    takes: takesOf(plan),
    kind: plan.kind,
    investigation: plan.investigation,
    practises: occasionsOf(plan),
  }
}

/** How ready a lesson is, what there is to mend in it, and what came of it. */
export function judgedOf(plan: Plan, all: LessonRecord, school: School): Judged {
  const findings = secondLook(plan, all, school)
  const { record } = homed(plan, all)
  const readiness = readinessOf(plan, record, findings)
  const conclusion = classConclusion(record.conclusions)
  const [first, ...more] = mattersOf(plan, record, findings, readiness)
  return {
    level: readiness.level,
    hour: hourOf(plan, record),
    matters: { first: first ? matterWords(first, plan) : null, more: more.length },
    picture: smallBars(plan, record.readings),
    grade: gradeWords(plan, record),
    conclusion: conclusion?.text ?? '',
    agreed: conclusion?.agreed ?? false,
    skills: skillsOf(plan, record),
  }
}

const COUNT_BACK: MatterWords = { text: 'Count the kit back', stop: 'kit', target: 'count-back' }

/** What a lesson waits for, its kit among it: what came out of the cupboard is counted back once all is measured. */
export function waitsFor(judged: Judged, { takes }: Pick<LessonFace, 'takes'>, countedBack: boolean): Judged['matters'] {
  const { first, more } = judged.matters
  if (judged.hour !== 'after' || takes.of.length === 0 || countedBack) return judged.matters
  return first === null ? { first: COUNT_BACK, more } : { first, more: more + 1 }
}

/** The grade, what an unfair set-up can answer all the same, and that another grade stood here before; of several tables the grade of each. */
function gradeWords(plan: Plan, record: LessonRecord): string {
  const tables = everyTable(plan, record)
  const [only] = tables
  if (tables.length > 1) return gradesInOne(tables)
  const before = judgedBefore(plan, record)
  const anew = before === undefined ? '' : ` (judged anew; was ${GRADE_NAMES[before].toLowerCase()})`
  const answers = only ? answerSentences(plan, only.evidence).map((sentence) => `. ${sentence.replace(/\.$/, '')}`) : []
  return `${only ? gradeName(only.evidence) : GRADE_NAMES['nothing-yet']}${answers.join('')}${anew}`
}
