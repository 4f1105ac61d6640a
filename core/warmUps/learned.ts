import { sampleStandardDeviation } from 'simple-statistics'
import type { Method } from '../lesson'
import { withoutNoise } from '../quantity'

/** Fewer tries say nothing of how well a class reads. */
export const FEWEST_TRIES = 10
/** Whoever is further off than that has read another number, which is a slip and no wobble. */
const SLIP = 4

/** What a class's own tries at reading scales show. */
export interface ReadingSkill {
  tries: number
  /** Standard deviation in marks, slips left out. */
  wobble: number
  /** Share of tries that were far off. */
  slips: number
}

/**
 * The class's own reading wobble out of its tries.
 * @param errors in marks
 * @returns undefined with fewer than ten tries
 * @example readingSkill([0, 0, 1, -1, 0, 0, 1, -1, 0, 10])!.slips // => 0.1
 */
export function readingSkill(errors: number[]): ReadingSkill | undefined {
  if (errors.length < FEWEST_TRIES) return undefined
  const near = errors.filter((error) => Math.abs(error) <= SLIP)
  if (near.length < 2) return undefined
  return { tries: errors.length, wobble: sampleStandardDeviation(near), slips: (errors.length - near.length) / errors.length }
}

/**
 * The method with the class's own reading wobble, in its unit, in place of the assumed one.
 * @example withReadingSkill({ resolution: 2, readingWobble: null }, { tries: 20, wobble: 0.75, slips: 0 }).readingWobble // => 1.5
 */
export function withReadingSkill<Of extends Pick<Method, 'resolution' | 'readingWobble'>>(
  method: Of,
  { wobble }: ReadingSkill,
): Of {
  return { ...method, readingWobble: withoutNoise(Number((wobble * method.resolution).toPrecision(3))) }
}
