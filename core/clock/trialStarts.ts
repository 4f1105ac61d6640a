import { arrangementOf, conditionsEach, startOfTrial } from '../arrangement'
import type { Plan } from '../lesson'
import { kindOf } from '../test'
import { scarcest } from './fit'

/**
 * When a group begins its first, second and further trial, in its own order and after its practice, if it keeps to the clock.
 * @returns seconds since testing began; undefined where groups take turns, wait for shared things, or run everything at once
 * @example trialStarts({ ...plan, practice: 1 })![4] // => 8 * 105
 */
export function trialStarts(plan: Plan): number[] | undefined {
  const way = arrangementOf(plan)
  if (!kindOf(plan).oneAfterTheOther || (way !== 'every-group' && way !== 'share-out') || scarcest(plan) !== undefined)
    return undefined
  const each = conditionsEach(plan)
  return Array.from({ length: each * plan.repeats }, (_, place) => startOfTrial(plan, each * plan.practice + place))
}
