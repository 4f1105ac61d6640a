import { sampleStandardDeviation } from 'simple-statistics'
import { type Plan } from '../lesson'
import { outlookOf, type LearnedWobble } from '../measuring'
import { unitOf, withoutNoise } from '../quantity'
import { testOf, withMethod, wayOf, type ResolvedMethod } from '../test'

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
export function withReadingSkill<Of extends Pick<ResolvedMethod, 'resolution' | 'readingWobble'>>(
  method: Of,
  { wobble }: ReadingSkill,
): Of {
  return { ...method, readingWobble: withoutNoise(Number((wobble * method.resolution).toPrecision(3))) }
}

/** What the class's own wobble changes in a plan: how many repeats make it clear nine times in ten, before and with it. */
export interface SkillChange {
  /** False while nobody has said what is expected, so that no number of repeats can be told. */
  foreseen: boolean
  before: number | undefined
  after: number | undefined
}

/**
 * What taking the class's own reading wobble would change.
 * @param learned what the class's readings of this lesson show
 * @returns undefined where nothing is read from marks, or where the plan has this wobble already
 * @example skillChange(soakUpPlan(), { tries: 20, wobble: 0, slips: 0 })!.after // => 2
 */
export function skillChange(plan: Plan, skill: ReadingSkill, learned?: LearnedWobble): SkillChange | undefined {
  const { method } = testOf(plan)
  if (!method || !isReadFromMarks(method)) return undefined
  if (withReadingSkill(method, skill).readingWobble === method.readingWobble) return undefined
  const before = outlookOf(plan, learned)
  const after = outlookOf(
    withMethod(plan, (own) => withReadingSkill(own, skill)),
    learned,
  )
  return { foreseen: before !== undefined, before: before?.needed, after: after?.needed }
}

/** Not from digits, which nobody misreads by a mark, and not counted or timed. */
function isReadFromMarks({ way, unit, readingWobble }: ResolvedMethod): boolean {
  const { dimension } = unitOf(unit)
  return wayOf({ way }).isAmount && dimension !== 'time' && dimension !== 'number' && readingWobble !== 0
}
