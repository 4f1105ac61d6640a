import { activeConditions, type Failure, type LessonRecord, type Plan } from '../lesson'
import { currentReadings } from './readings'

/** How a child says that a thing is no use any more: the trial cannot simply be done again, somebody has to bring another. */
export const BROKE = 'it broke'

/**
 * Where something broke and the trial has no number yet: those whom somebody has to bring another thing, the longest waiting first. Once a number stands
 * there, it is over.
 * @example brokenNow(soakUpPlan(), EMPTY_RECORD) // => []
 */
export function brokenNow(plan: Plan, { failures, readings }: Pick<LessonRecord, 'failures' | 'readings'>): Failure[] {
  const active = new Set(activeConditions(plan).map(({ id }) => id))
  const keyOf = ({ group, condition, repeat }: { group: string; condition: string; repeat: number }) =>
    `${group}/${condition}/${repeat}`
  const done = new Set(currentReadings(readings).flatMap((one) => (one.status === 'kept' && !one.practice ? [keyOf(one)] : [])))
  const waiting = failures.filter((one) => one.reason === BROKE && active.has(one.condition) && !done.has(keyOf(one)))
  return [...new Map(waiting.map((one) => [keyOf(one), one])).values()]
}
