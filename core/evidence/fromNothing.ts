import { cellsOf, wobbleWithin } from './cells'
import { tLeaving, tTwoSided } from '../chance'
import { capped, gradeOfP, type EvidenceOptions, type Grade, type Limit } from './grade'
import { holm, type Observation } from './model'

/** One condition's change against no change at all. */
export interface FromNothing {
  condition: string
  mean: number
  low: number
  high: number
  df: number
  p: number
  pHolm: number
  /** `same`: no change that the instrument can show. */
  grade: Grade
  /** So small that an instrument which drifts, or a loss on the way, could make it: at most leaning without something beside it that cannot change. */
  needsControl: boolean
}

/** So many marks an instrument does not drift by in a lesson. */
const MARKS_TO_TRUST = 3

/**
 * Did each thing change at all: Student's t on the means of cells, one a group, with Holm's correction over the conditions; a single group
 * goes by its trials. "All things lost 5 g" is clear, even when they do not differ.
 * @param changes kept results in one unit, each a change, a loss or a difference
 * @param against what is taken off: `nothing` of the thing itself, which an instrument that drifts looks like; or a `value` known from elsewhere
 * @example changesFromNothing([5, 6, 5].map((value, group) => ({ group: `g${group}`, condition: 'ice', value })), { resolution: 1 }, [])[0]!.grade // => 'clear'
 */
export function changesFromNothing(
  changes: Observation[],
  options: EvidenceOptions,
  limits: Limit[],
  against: 'nothing' | 'value' = 'nothing',
): FromNothing[] {
  const cells = cellsOf(changes)
  const wobble = wobbleWithin(changes, cells) ?? 0
  const oneGroup = new Set(cells.map(({ group }) => group)).size === 1
  const tested = [...new Set(cells.map(({ condition }) => condition))].flatMap((condition) => {
    const values = (oneGroup ? changes : cells).filter((one) => one.condition === condition).map(({ value }) => value)
    const count = values.length
    const df = count - 1
    if (df < 1) return []
    const mean = values.reduce((sum, value) => sum + value, 0) / count
    const squares = values.reduce((sum, value) => sum + (value - mean) ** 2, 0)
    // A change is two readings, and each is rounded to a mark.
    const variance = Math.max(squares / df, (2 * options.resolution ** 2) / 12)
    const error = Math.sqrt(variance / count)
    const reach = (p: number) => tLeaving(p, df) * error
    return [{ condition, mean, df, error, reach, p: error === 0 ? (mean === 0 ? 1 : 0) : tTwoSided(mean / error, df) }]
  })
  const corrected = holm(tested.map(({ p }) => p))
  const most = Math.max(options.resolution, options.differenceThatMatters)
  return tested.map(({ condition, mean, df, reach, p }, place) => {
    const within = Math.abs(mean) + reach(0.1) < most
    const judged = capped(limits, within ? 'same' : gradeOfP(corrected[place]!))
    const needsControl = against === 'nothing' && Math.abs(mean) < Math.max(MARKS_TO_TRUST * options.resolution, wobble)
    const grade = needsControl && judged === 'clear' ? 'leaning' : judged
    return {
      ...{ condition, mean, low: mean - reach(0.05), high: mean + reach(0.05), df, p, pHolm: corrected[place]!, grade },
      needsControl: needsControl && judged === 'clear',
    }
  })
}
