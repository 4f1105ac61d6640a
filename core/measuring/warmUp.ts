import { sampleStandardDeviation } from 'simple-statistics'
import { convert, withoutNoise } from '../quantity'
import type { ResolvedMethod } from '../test'

/** Fewer timings say nothing about a wobble. */
export const FEWEST_WARM_UPS = 5

/** One signal of the warm-up: how long to wait for the light, and how long the light stays until the sound. */
export interface Signal {
  /** Seconds. */
  wait: number
  lasts: number
}

/** The signals of a warm-up, so uneven that nobody can count along. Waits of 1 to 2.5 s, 1.2 to 3.2 s between light and sound. */
export function warmUpSignals(count: number, random: () => number): Signal[] {
  return Array.from({ length: count }, () => ({ wait: 1 + 1.5 * random(), lasts: 1.2 + 2 * random() }))
}

/**
 * The class's own timing wobble: the standard deviation of how much too long its timings were, start and stop together. That all of
 * them come late does no harm; how unevenly they do is the wobble.
 * @param errors seconds timed less seconds that really passed
 * @returns seconds; undefined with fewer than five timings
 * @example timingWobbleOf([0.1, -0.1, 0.1, -0.1, 0]) // => 0.1
 */
export function timingWobbleOf(errors: number[]): number | undefined {
  return errors.length < FEWEST_WARM_UPS ? undefined : sampleStandardDeviation(errors)
}

const WORST_ERROR = 10
const MOST_TIMINGS = 400

/** The errors with one more timing: seconds timed less seconds that passed, the last 400 of them. `withTiming([], 2.3, 2.2) // [0.1]` */
export function withTiming(errors: number[], timed: number, passed: number): number[] {
  const error = Math.max(-WORST_ERROR, Math.min(WORST_ERROR, withoutNoise(timed - passed)))
  return [...errors, error].slice(-MOST_TIMINGS)
}

/** The method with the class's warm-up; its timing wobble replaces the assumed one as soon as there are five timings. */
export function withWarmUp(method: ResolvedMethod, errors: number[]): ResolvedMethod {
  const wobble = timingWobbleOf(errors)
  const inUnit = wobble === undefined ? undefined : convert(wobble, 's', method.unit)
  if (inUnit === undefined) return { ...method, warmUp: errors }
  return { ...method, warmUp: errors, timingWobble: withoutNoise(Number(inUnit.toPrecision(3))) }
}
