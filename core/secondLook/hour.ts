import { classConclusion } from '../agree'
import type { LessonRecord, Plan, Stop } from '../lesson'
import { doneByAll, hasBegun, progressOf } from '../record'
import { SEVERITY_ORDER, type Finding } from './finding'
import { TRAITS, type Hour } from './traits'

/**
 * The hour of a lesson, by what is recorded in it and not by any calendar.
 * @example hourOf(emptyPlan('3K', 26, newId), EMPTY_RECORD) // => 'before'
 */
export function hourOf(plan: Plan, record: LessonRecord): Hour {
  if (!hasBegun(record.readings)) return 'before'
  const { done, all } = doneByAll(progressOf(plan, record.readings))
  return plan.gapsStay || done === all || (classConclusion(record.conclusions)?.text ?? '') !== '' ? 'after' : 'during'
}

/** Does a finding matter at this hour of the lesson. */
export function isOfHour({ code }: Pick<Finding, 'code'>, hour: Hour): boolean {
  return TRAITS[code].hours.includes(hour)
}

/**
 * What is to be said now: a place without a number is a gap only once the time for testing is over.
 * @param testing the time for testing is not over
 * @example dueNow([{ code: 'gaps' }, { code: 'strays' }], true) // => [{ code: 'strays' }]
 */
export function dueNow<One extends Pick<Finding, 'code'>>(findings: One[], testing: boolean): One[] {
  return testing ? findings.filter(({ code }) => code !== 'gaps') : findings
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
  const isPast = ({ code }: Finding) => TRAITS[code].hours.includes('before')
  return {
    open: now.slice(0, MOST_OPEN),
    more: now.slice(MOST_OPEN),
    past: other.filter(isPast),
    coming: other.filter((finding) => !isPast(finding)),
  }
}
