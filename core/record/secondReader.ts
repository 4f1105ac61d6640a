import { type Plan } from '../lesson'
import { LOOKED_AT } from '../measuring'
import { withoutNoise } from '../quantity'
import { testOf, type Device, type ResolvedMethod } from '../test'

/**
 * Do two children who read the same thing agree? One mark apart is what careful eyes do; further apart they look once more.
 * @example readersAgree(61, 62, { resolution: 1 }) // => true
 */
export function readersAgree(first: number, second: number, { resolution }: Pick<ResolvedMethod, 'resolution'>): boolean {
  return withoutNoise(Math.abs(first - second)) <= resolution
}

/** Does a second child look before the number is written down: where the class wants it, it counts, and it can be looked at again. */
export function asksSecondReader(plan: Plan, { practice }: { practice: boolean }, device: Device): boolean {
  return plan.secondReader && !practice && testOf(plan).way.isAmount && LOOKED_AT.includes(device)
}
