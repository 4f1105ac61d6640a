import { activeConditions, changedFactor, type LessonRecord, type Plan, type Stop } from '../lesson'
import { shapeOf, testOf } from '../test'
import { hasBegun } from '../record'
import { withSaid } from '../wonder'
import type { TargetPlace } from './target'

export type FirstStepCode = 'wonder' | 'change' | 'measure' | 'conditions'

/** One step towards a question that can be tested. */
export interface FirstStep {
  code: FirstStepCode
  stop: Stop
  /** Where the step begins. */
  target: TargetPlace
  done: boolean
}

/**
 * The way to a question that can be tested, for a lesson in which nothing is to be compared yet; undefined once there is, or once
 * somebody has measured all the same.
 * @example firstSteps(emptyPlan('3K', 26, newId), EMPTY_RECORD)?.map(({ code }) => code) // => ['wonder', 'change', 'measure', 'conditions']
 */
export function firstSteps(plan: Plan, record: LessonRecord): FirstStep[] | undefined {
  if (hasBegun(record.readings)) return undefined
  const { needsChange, fewestConditions } = shapeOf(plan)
  const { noticed, maybe, wondered } = withSaid(plan, record.remarks).wonder
  const change: FirstStep[] = needsChange
    ? [{ code: 'change', stop: 'plan', target: 'new-factor', done: changedFactor(plan) !== undefined }]
    : []
  const measure: FirstStep = { code: 'measure', stop: 'plan', target: 'new-measure', done: testOf(plan).measure !== undefined }
  const compared = activeConditions(plan).length
  const chosen = [...change, measure].some(({ done }) => done)
  if (chosen && compared > 0) return undefined
  return [
    { code: 'wonder', stop: 'wonder', target: 'noticed', done: noticed.length + maybe.length + wondered.length > 0 },
    ...change,
    measure,
    { code: 'conditions', stop: 'plan', target: 'new-condition', done: compared >= fewestConditions },
  ]
}
