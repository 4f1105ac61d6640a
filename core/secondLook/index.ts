import { evidenceOf, learnedWobble } from '../evidence'
import { NO_SCHOOL, type School } from '../kit'
import type { LessonRecord, Plan } from '../lesson'
import { hasBegun } from '../record'
import { withSaid } from '../wonder'
import type { Finding, Severity } from './finding'
import { findingsOfClock } from './ofClock'
import { findingsOfKit } from './ofKit'
import { findingsOfConditions, findingsOfFairness, findingsOfMeasuring, findingsOfQuestion } from './ofPlan'
import { findingsOfConclusion, findingsOfEvidence, findingsOfPredictions, findingsOfReadings } from './ofRecord'

export { boardViewFor, numbersAreShown, placeToLookAt } from './views'
export { answersTo } from './ofRecord'
export { HOW_WORDS, isPlanFix, mend } from './mend'
export type { PlanFix } from './mend'
export { readinessOf } from './readiness'
export type { Bead, Readiness, StopReadiness } from './readiness'
export { cellTarget } from './finding'
export type { Finding, FindingCode, Fix, Severity } from './finding'

const WEIGHT: Record<Severity, number> = { wrong: 0, attention: 1, note: 2 }

/** Everything the computation finds in a lesson, worst first; within one severity in the order of the stops. */
export function secondLook(plan: Plan, record: LessonRecord, school: School = NO_SCHOOL): Finding[] {
  const evidence = evidenceOf(plan, record)
  const findings = [
    ...findingsOfQuestion(withSaid(plan, record.remarks)),
    ...findingsOfConditions(plan, hasBegun(record.readings)),
    ...findingsOfFairness(plan),
    ...findingsOfMeasuring(plan, learnedWobble(plan, record.readings)),
    ...findingsOfKit(plan, school),
    ...findingsOfClock(plan, school, hasBegun(record.readings)),
    ...findingsOfPredictions(plan, record),
    ...findingsOfReadings(plan, record),
    ...findingsOfEvidence(plan, record, evidence),
    ...findingsOfConclusion(plan, record, evidence),
  ]
  return findings.sort((a, b) => WEIGHT[a.severity] - WEIGHT[b.severity])
}
