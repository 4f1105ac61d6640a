import { classConclusion } from '../agree'
import { smallBars, type SmallBar } from '../charts'
import { everyTable, judgedBefore, type Evidence, type Grade } from '../evidence'
import { takesOf, type School, type Takes } from '../kit'
import type { Kind, LessonRecord, Plan } from '../lesson'
import { homed, lessonPace, type LessonPace } from '../record'
import { hourOf, mattersOf, readinessOf, secondLook, type Hour, type Matter } from '../secondLook'
import { occasionsOf, type Occasion } from '../term'
import { skillsOf, type Skill } from '../reports'

/** What a list shows of a lesson that follows from its plan alone. */
export interface LessonFace {
  title: string
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

/** What came out of one table of a lesson. */
export interface TableGrade {
  /** Card and series; null where there is one of each. */
  measured: string | null
  series: string | null
  grade: Grade
  limits: Evidence['limits']
  /** What an unfair set-up can answer all the same. */
  answers: NonNullable<Evidence['notFair']>['answers']
}

/** What a list shows of a lesson that takes working out. */
export interface Judged {
  /** How far its beaker is filled, 0 to 1. */
  level: number
  hour: Hour
  /** What it waits for, the most urgent first; all else is only counted. */
  matters: { first: Matter | null; more: number }
  /** A small picture of what came out, where something did. */
  picture: SmallBar[]
  grades: TableGrade[]
  /** The grade that the lesson had before it was judged in today's way, where that was another one. */
  before: Grade | null
  conclusion: string
  /** What it tells of its class's pace; null where its trials cannot be timed. */
  pace: LessonPace | null
  agreed: boolean
  skills: Skill[]
}

/** What a list shows of a lesson that nobody has judged yet. */
export const NOT_JUDGED: Judged = {
  level: 0,
  hour: 'before',
  matters: { first: null, more: 0 },
  picture: [],
  grades: [],
  before: null,
  pace: null,
  conclusion: '',
  agreed: false,
  skills: [],
}

/**
 * The face of a lesson.
 * @example faceOf(plan).title // => 'Soak-up strips'
 */
export function faceOf(plan: Plan): LessonFace {
  return {
    title: plan.title,
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
  const tables = everyTable(plan, record)
  return {
    level: readiness.level,
    hour: hourOf(plan, record),
    matters: { first: first ?? null, more: more.length },
    picture: smallBars(plan, record.readings),
    grades: tables.map(({ plan: own, series, evidence }) => ({
      measured: own.measured,
      series: series?.id ?? null,
      grade: evidence.grade,
      limits: evidence.limits,
      answers: evidence.notFair?.answers ?? [],
    })),
    before: (tables.length < 2 && judgedBefore(plan, record)) || null,
    pace: lessonPace(plan, record) ?? null,
    conclusion: conclusion?.text ?? '',
    agreed: conclusion?.agreed ?? false,
    skills: skillsOf(plan, record),
  }
}

/** What a lesson waits for, its kit among it: what came out of the cupboard is counted back once all is measured. */
export function waitsFor(judged: Judged, { takes }: Pick<LessonFace, 'takes'>, countedBack: boolean): Judged['matters'] {
  const { first, more } = judged.matters
  if (judged.hour !== 'after' || takes.of.length === 0 || countedBack) return judged.matters
  return first === null ? { first: { code: 'count-back' }, more } : { first, more: more + 1 }
}
