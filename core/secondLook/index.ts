import { evidenceOf, learnedWobble } from '../evidence'
import { NO_SCHOOL, type School } from '../kit'
import type { LessonRecord, Plan } from '../lesson'
import { hasBegun, homed } from '../record'
import { withSaid } from '../wonder'
import { ofEachMeasure, SEVERITY_ORDER, type Finding } from './finding'
import { firstSteps } from './firstSteps'
import { TRAITS } from './traits'
import { findingsOfClock } from './ofClock'
import { findingsOfKit } from './ofKit'
import { findingsOfConditions, findingsOfFairness, findingsOfMeasuring, findingsOfQuestion } from './ofPlan'
import { findingsOfConclusion, findingsOfEvidence, findingsOfPredictions, findingsOfReadings, findingsOfStrays } from './ofRecord'

export { boardViewFor, numbersAreShown, placeToLookAt } from './views'
export { answersTo } from './ofRecord'
export { HOW_WORDS, isPlanFix, mend } from './mend'
export type { PlanFix } from './mend'
export { readinessOf } from './readiness'
export type { Bead, Open, Readiness, StopReadiness } from './readiness'
export { cellTarget, targetName } from './target'
export type { Target, TargetPlace } from './target'
export { firstSteps } from './firstSteps'
export type { FirstStep, FirstStepCode } from './firstSteps'
export { dueNow, hourOf, sortedByHour } from './hour'
export type { Sorted } from './hour'
export type { Hour } from './traits'
export { mattersOf } from './matters'
export type { Matter } from './matters'
export type { Finding, FindingCode, Fix, Severity } from './finding'

/**
 * Everything the computation finds in a lesson, worst first; within one severity in the order of the stops. What a lesson that has
 * only begun cannot have yet is not found, its first steps say it.
 */
export function secondLook(plan: Plan, all: LessonRecord, school: School = NO_SCHOOL): Finding[] {
  const { record, strays } = homed(plan, all)
  const evidence = evidenceOf(plan, record)
  const findings = [
    ...ofEachMeasure(withSaid(plan, record.remarks), findingsOfQuestion),
    ...findingsOfConditions(plan, hasBegun(record.readings)),
    ...findingsOfFairness(plan),
    ...ofEachMeasure(plan, (view) => findingsOfMeasuring(view, learnedWobble(view, record.readings))),
    ...findingsOfStrays(strays),
    ...findingsOfKit(plan, school),
    ...findingsOfClock(plan, school, hasBegun(record.readings)),
    ...findingsOfPredictions(plan, record),
    ...findingsOfReadings(plan, record),
    ...ofEachMeasure(plan, (view) => findingsOfEvidence(view, record, evidenceOf(view, record))),
    ...findingsOfConclusion(plan, record, evidence),
  ]
  const begins = firstSteps(plan, record) !== undefined
  const worth = begins ? findings.filter(({ code }) => !TRAITS[code].notYet) : findings
  return worth.sort((a, b) => SEVERITY_ORDER[a.severity] - SEVERITY_ORDER[b.severity])
}
