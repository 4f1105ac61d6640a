import { withoutNoise, type ResultUnit } from '../quantity'
import { axisTicks, leastStep } from './axis'

/** A scale for drawing by hand: a step of the numbers on so many squares. */
export interface SquareScale {
  from: number
  to: number
  step: number
  /** Whole squares for one step. */
  squaresPerStep: number
  /** Squares from the start to the end of the scale. */
  squares: number
}

const NICE = [1, 2, 5]
/** At least this share of the paper carries the values. */
const LEAST_USED = 0.5
/** Labels need this many squares each. */
const MOST_STEPS = 12

/**
 * The scale for squared paper: steps of 1, 2 or 5 times a power of ten on 1 to 10 whole squares, from zero for bars, with the values on as much of the paper as can be had.
 * Of those that use at least half, the one with the most usual squares (two, then one, five, ten) and labels at least two squares apart wins where use is near.
 * @param values   what has to fit
 * @param squares  squares along this side of the paper
 * @param withZero bars stand on zero
 * @param unit     what they are in: counts go up in whole steps
 * @example squareScale([14, 58], 24, true) // => { from: 0, to: 60, step: 5, squaresPerStep: 2, squares: 24 }
 */
export function squareScale(values: number[], squares: number, withZero: boolean, unit?: ResultUnit): SquareScale | undefined {
  if (values.length === 0 || squares < 2 || values.some((value) => !Number.isFinite(value))) return undefined
  const { low, high } = coveredBy(values, withZero)
  const span = high - low
  const power = Math.floor(Math.log10(span))
  const candidates: SquareScale[] = []
  for (let exponent = power - 2; exponent <= power + 1; exponent += 1) {
    for (const nice of NICE) {
      const step = withoutNoise(nice * 10 ** exponent)
      if (step < leastStep(unit)) continue
      const from = withoutNoise(Math.floor(withoutNoise(low / step)) * step)
      const steps = Math.max(1, Math.ceil(withoutNoise((high - from) / step)))
      for (let each = 1; each <= 10 && steps * each <= squares; each += 1) {
        if (each === 1 || isRound(step / each))
          candidates.push({ from, to: withoutNoise(from + steps * step), step, squaresPerStep: each, squares: steps * each })
      }
    }
  }
  const worth = ({ squares: used, squaresPerStep, step, from, to }: SquareScale) => {
    const onPaper = ((high - low) / (to - from)) * (used / squares)
    const labels = Math.round((to - from) / step)
    return (
      Math.min(onPaper, 0.8) +
      (onPaper < LEAST_USED ? -1 : 0) -
      (isLeading(step / squaresPerStep, 4) ? 0.15 : 0) +
      ([0, 0.02, 0.06, 0, 0.01, 0.04, 0, 0, 0, 0, 0.03][squaresPerStep] ?? 0) -
      (labels > MOST_STEPS ? 0.05 * (labels - MOST_STEPS) : 0) -
      (labels < 4 ? 0.08 * (4 - labels) : 0)
    )
  }
  return candidates.reduce<SquareScale | undefined>(
    (best, one) => (best === undefined || worth(one) > worth(best) ? one : best),
    undefined,
  )
}

/** What the scale has to reach over; one value alone is seen against zero. */
function coveredBy(values: number[], withZero: boolean): { low: number; high: number } {
  const alone = values.every((value) => value === values[0])
  const all = withZero || alone ? [...values, 0] : values
  const [low, high] = [Math.min(...all), Math.max(...all)]
  return low === high ? { low, high: low + 1 } : { low, high }
}

export type ScaleProblem =
  | { code: 'does-not-fit'; highest: number; ends: number }
  | { code: 'begins-above'; lowest: number }
  | { code: 'not-from-zero' }
  | { code: 'uses-little'; share: number }
  | { code: 'hard-to-count'; step: number; better: number }
  | { code: 'between-squares'; step: number; squares: number }
  | { code: 'crowded'; labels: number }

/**
 * What is wrong with a scale that a child proposes; empty when it will do.
 * @param proposed where it begins, and what one step of so many squares counts
 * @example checkScale({ from: 0, step: 7, squaresPerStep: 2 }, [14, 58], 24, true)[0] // => { code: 'hard-to-count', step: 7, better: 5 }
 */
export function checkScale(
  { from, step, squaresPerStep }: Pick<SquareScale, 'from' | 'step' | 'squaresPerStep'>,
  values: number[],
  squares: number,
  withZero: boolean,
): ScaleProblem[] {
  const { low, high } = coveredBy(values, withZero)
  const ends = withoutNoise(from + (squares / squaresPerStep) * step)
  const problems: ScaleProblem[] = []
  if (ends < high) problems.push({ code: 'does-not-fit', highest: high, ends })
  if (withZero && from > 0) problems.push({ code: 'not-from-zero' })
  else if (from > low) problems.push({ code: 'begins-above', lowest: low })
  const shareUsed = (scale: Pick<SquareScale, 'step' | 'squaresPerStep'>) =>
    ((high - low) / scale.step) * (scale.squaresPerStep / squares)
  // Nobody is told off for what the best scale does as well.
  const best = squareScale(values, squares, withZero)
  const used = shareUsed({ step, squaresPerStep })
  if (used < LEAST_USED && best && used < shareUsed(best)) problems.push({ code: 'uses-little', share: used })
  if (!isNice(step)) problems.push({ code: 'hard-to-count', step, better: nearestNice(step) })
  if (squaresPerStep > 1 && !isRound(step / squaresPerStep))
    problems.push({ code: 'between-squares', step, squares: squaresPerStep })
  const labels = Math.floor(squares / squaresPerStep)
  const labelsOfBest = best ? Math.floor(squares / best.squaresPerStep) : labels
  if (labels > 2 * MOST_STEPS && labels > labelsOfBest) problems.push({ code: 'crowded', labels })
  return problems
}

/** Numbers of all squares and labels along one side. `{ at: 2, value: 5 }` is the label 5 at the second line. */
export function scaleLabels({ from, to, step, squaresPerStep }: SquareScale): { at: number; value: number }[] {
  return axisTicks({ from, to, step }).map((value, place) => ({ at: place * squaresPerStep, value }))
}

function isNice(step: number): boolean {
  const digits = leadingDigits(step)
  return NICE.some((nice) => Math.abs(digits - nice) < 1e-9)
}

function isLeading(value: number, digits: number): boolean {
  return Math.abs(leadingDigits(value) - digits) < 1e-9
}

/** A tenth, a half, a quarter: what one square counts for can be read without a sum. */
function isRound(perSquare: number): boolean {
  return [1, 2, 2.5, 4, 5].some((round) => isLeading(perSquare, round))
}

function nearestNice(step: number): number {
  const power = 10 ** Math.floor(Math.log10(step))
  return [1, 2, 5, 10].map((nice) => withoutNoise(nice * power)).reduce((a, b) => (Math.abs(b - step) < Math.abs(a - step) ? b : a))
}

function leadingDigits(value: number): number {
  return withoutNoise(value / 10 ** Math.floor(Math.log10(value) + 1e-12))
}
