import { classConclusion } from '../agree'
import type { LessonRecord, Plan, Stop } from '../lesson'
import { doneByAll, hasBegun, progressOf } from '../record'
import { SEVERITY_ORDER, type Finding, type FindingCode } from './finding'

/** Where a lesson stands: it is prepared, it is tested, or it has been tested and a sentence is looked for. */
export type Hour = 'before' | 'during' | 'after'

/**
 * The hour of a lesson, by what is recorded in it and not by any calendar.
 * @example hourOf(emptyPlan('3K', 26, newId), EMPTY_RECORD) // => 'before'
 */
export function hourOf(plan: Plan, record: LessonRecord): Hour {
  if (!hasBegun(record.readings)) return 'before'
  const { done, all } = doneByAll(progressOf(plan, record.readings))
  return plan.gapsStay || done === all || (classConclusion(record.conclusions)?.text ?? '') !== '' ? 'after' : 'during'
}

const PLANNING: readonly Hour[] = ['before']
/** An adult beside the heat is as needed while it is hot as when it is planned. */
const SAFETY: readonly Hour[] = ['before', 'during']
const NUMBERS: readonly Hour[] = ['during', 'after']
const CONCLUDING: readonly Hour[] = ['after']

const BELONGS: Record<FindingCode, readonly Hour[]> = {
  'no-title': PLANNING,
  'nothing-wondered': PLANNING,
  'sounds-like-a-guess': PLANNING,
  'nothing-to-change': PLANNING,
  'nothing-to-measure': PLANNING,
  'instrument-misfit': PLANNING,
  'too-few-conditions': PLANNING,
  'label-empty': PLANNING,
  'same-label': PLANNING,
  'number-unreadable': PLANNING,
  'too-few-levels': PLANNING,
  'uneven-levels': PLANNING,
  'narrow-levels': PLANNING,
  'too-few-words': PLANNING,
  'no-times': PLANNING,
  muddled: PLANNING,
  'factor-differs': PLANNING,
  'factor-unknown': PLANNING,
  'how-not-said': PLANNING,
  'one-reading-each': PLANNING,
  'too-few-repeats': PLANNING,
  hopeless: PLANNING,
  'one-group-same-thing': PLANNING,
  blocks: PLANNING,
  'no-groups': PLANNING,
  'kit-empty': PLANNING,
  'amount-unreadable': PLANNING,
  'supply-unreadable': PLANNING,
  'thing-gone': PLANNING,
  short: PLANNING,
  caution: SAFETY,
  'own-caution': SAFETY,
  'step-moved': PLANNING,
  'trial-time-missing': PLANNING,
  'over-run': PLANNING,
  'things-wait': PLANNING,
  'no-date': PLANNING,
  'no-school-that-day': PLANNING,
  'readings-lost': PLANNING,
  'predictions-missing': PLANNING,
  doubtful: NUMBERS,
  'two-in-one-place': NUMBERS,
  'wrong-kind-of-unit': NUMBERS,
  homeless: NUMBERS,
  strays: NUMBERS,
  gaps: NUMBERS,
  drift: CONCLUDING,
  'not-sure': CONCLUDING,
  'conclusion-missing': CONCLUDING,
  'conclusion-doubt': CONCLUDING,
}

/** Does a finding matter at this hour of the lesson. */
export function isOfHour({ code }: Pick<Finding, 'code'>, hour: Hour): boolean {
  return BELONGS[code].includes(hour)
}

const MOST_OPEN = 5

/** What is shown of the findings at one hour. */
export interface Sorted {
  /** At most five. */
  open: Finding[]
  /** Of this hour too, for whoever asks. */
  more: Finding[]
  /** About the plan, which has run. */
  past: Finding[]
  /** About what is still to come. */
  coming: Finding[]
}

/** The findings as they matter now: worst first, those of the stop that is open first among equals. */
export function sortedByHour(findings: Finding[], hour: Hour, here: Stop): Sorted {
  const inOrder = [...findings].sort(
    (a, b) => SEVERITY_ORDER[a.severity] - SEVERITY_ORDER[b.severity] || Number(b.stop === here) - Number(a.stop === here),
  )
  const now = inOrder.filter((finding) => isOfHour(finding, hour))
  const other = inOrder.filter((finding) => !isOfHour(finding, hour))
  const isPast = ({ code }: Finding) => BELONGS[code].includes('before')
  return {
    open: now.slice(0, MOST_OPEN),
    more: now.slice(MOST_OPEN),
    past: other.filter(isPast),
    coming: other.filter((finding) => !isPast(finding)),
  }
}
