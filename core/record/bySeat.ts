import type { Plan, Reading } from '../lesson'
import { nextTrial, progressOf, type Cell } from './grid'

/**
 * Where the number of a seat goes: the next empty place of the child that sits there.
 * @param seat counted from 1
 * @returns undefined where nobody sits there, or all of its places are filled
 * @example placeOfSeat(soakUpPlan(), [], 2)!.group // => 'g2'
 */
export function placeOfSeat(plan: Plan, readings: Reading[], seat: number): Cell | undefined {
  const progress = progressOf(plan, readings)[seat - 1]
  return progress && nextTrial(plan, progress)
}

/** The next seat after this one, going round, that has an empty place; undefined once all are filled. */
export function nextSeat(plan: Plan, readings: Reading[], after: number): number | undefined {
  const all = progressOf(plan, readings)
  for (let step = 1; step <= all.length; step += 1) {
    const place = (after - 1 + step) % all.length
    if (nextTrial(plan, all[place]!)) return place + 1
  }
  return undefined
}
