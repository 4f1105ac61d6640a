import { readingsOfGroup } from '../evidence'
import { isEachChild, type LessonRecord, type Plan, type Prediction } from '../lesson'
import { nearnessOfPrediction, type Nearness } from './nearness'
import { resultsForPredictions } from './results'

/** How a prediction came out: with what its group found itself, and with what the class found. */
export interface CameOut {
  own: Nearness | undefined
  class: Nearness | undefined
}

/**
 * A group's prediction laid beside its own numbers and beside the class's. A child's lies beside its own alone; what a group has no result of for every condition is
 * left out.
 * @example cameOut(plan, record, { group: plan.groups[0]!.id, as: 'order', order: ['kitchen-roll', 'card'], values: {} }) // => { own: undefined, class: undefined }
 */
export function cameOut(
  plan: Plan,
  record: LessonRecord,
  prediction: Pick<Prediction, 'group' | 'as' | 'order' | 'values'>,
): CameOut {
  const beside = (rows: LessonRecord): Nearness | undefined => {
    const results = resultsForPredictions(plan, rows)
    return results && nearnessOfPrediction(prediction, results)
  }
  return {
    own: beside(readingsOfGroup(record, prediction.group)),
    class: isEachChild(plan) ? undefined : beside(record),
  }
}
