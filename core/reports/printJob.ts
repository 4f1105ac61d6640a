import { classConclusion } from '../agree'
import { arrangementOf } from '../arrangement'
import { gettingReady, needsOf, type School } from '../kit'
import { activeConditions, isEachChild, type LessonRecord, type Plan } from '../lesson'

/** What can lie in one pile of a printer, in the order in which it is needed: each of these is on sheets of the usual size. */
const BEFORE = [
  'getting-ready',
  'shopping',
  'trays',
  'labels',
  'rota',
  'codes',
  'planning',
  'slips',
  'record',
  'home',
  'jobs',
] as const
type AfterIt = 'report' | 'count-back' | 'group-report' | 'teacher-notes'
export type InAJob = (typeof BEFORE)[number] | AfterIt

/** What a class has ticked on or off itself. */
export type PileChoices = Partial<Record<InAJob, boolean>>

/** One pile: what this lesson needs, and what could be added to it. */
export interface PrintJob {
  when: 'before' | 'after'
  needed: InAJob[]
  more: InAJob[]
}

/** Is a lesson still to be prepared, or has its class agreed? `whenOfJob(EMPTY_RECORD) // 'before'` */
export function whenOfJob({ conclusions }: Pick<LessonRecord, 'conclusions'>): PrintJob['when'] {
  return classConclusion(conclusions)?.agreed ? 'after' : 'before'
}

/**
 * What a lesson needs on paper: before it, lists and sheets by its arrangement, its kit and whether children write on paper; after it, what was found.
 * @param tablets  children write down on stations, so that nothing of theirs is printed
 * @example printJob(plan, EMPTY_RECORD, NO_SCHOOL, true).needed.includes('record') // => false
 */
export function printJob(plan: Plan, record: LessonRecord, school: School, tablets: boolean): PrintJob {
  if (whenOfJob(record) === 'after') {
    const counted = plan.materials.some(({ use }) => use === 'again')
    return {
      when: 'after',
      needed: ['report', ...(counted ? (['count-back'] as const) : [])],
      more: ['group-report', 'teacher-notes'],
    }
  }
  const needs: Partial<Record<InAJob, boolean>> = {
    'getting-ready': gettingReady(plan, school).length > 0,
    shopping: needsOf(plan, school).some(({ short }) => short > 0),
    trays: plan.materials.length > 0,
    labels: plan.materials.length > 0,
    rota: arrangementOf(plan) !== 'every-group',
    codes: isEachChild(plan),
    slips: !tablets && activeConditions(plan).length > 1,
    record: !tablets,
  }
  // Strips with codes are nothing where groups write down.
  const possible = BEFORE.filter((one) => one !== 'codes' || isEachChild(plan))
  return { when: 'before', needed: possible.filter((one) => needs[one]), more: possible.filter((one) => !needs[one]) }
}

/**
 * What lies in the pile: what is needed, but for what the class ticked off, and what it ticked on.
 * @example inPile({ when: 'after', needed: ['report'], more: ['group-report'] }, { 'group-report': true }) // => ['report', 'group-report']
 */
export function inPile({ needed, more }: PrintJob, choices: PileChoices): InAJob[] {
  return [...needed, ...more].filter((one) => choices[one] ?? needed.includes(one))
}
