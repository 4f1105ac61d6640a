import { activeConditions, measuredCard, type LessonRecord, type Plan } from '../lesson'
import { isCounted, progressOf } from '../record'

export const BOARD_VIEWS = ['wonder', 'question', 'predict', 'test', 'results', 'agree'] as const
export type BoardViewName = (typeof BOARD_VIEWS)[number]

/** Which view fits what the class is doing: the furthest thing that has begun, results only once every place is filled. */
export function boardViewFor(plan: Plan, { readings, predictions, conclusions }: LessonRecord): BoardViewName {
  if (conclusions.length > 0) return 'agree'
  if (readings.some(isCounted)) return progressOf(plan, readings).every((one) => one.done === one.all) ? 'results' : 'test'
  if (predictions.length > 0 && activeConditions(plan).length > 0) return 'predict'
  return measuredCard(plan) ? 'question' : 'wonder'
}
