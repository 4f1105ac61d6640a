import { mean } from 'simple-statistics'
import { activeConditions, conditionValue, measuredCard, type LessonRecord, type Plan } from '../lesson'
import { oncePerPair, trialResults } from '../record'
import { tLeaving } from './distributions'
import { kendallTauB, theilSen } from './ranks'
import { shapesOf, simplestShape, type Point, type ShapeFit } from './shapes'

/** How the result goes with the numbers of the conditions. */
export type Pattern = 'none' | 'steady-up' | 'steady-down' | 'levelling-off' | 'speeding-up' | 'up-then-down' | 'down-then-up'

export interface Trend {
  pattern: Pattern
  /** On the whole more with more, or less with more. */
  rising: boolean
  /** Robust slope, result units for one unit of the condition. */
  slope: number
  tau: number | undefined
  shapes: ShapeFit[]
  shape: ShapeFit
  /** Where a peak or a dip lies. */
  turn: number | undefined
  from: number
  to: number
  /** A number between those tested that nobody has tried: the middle of the widest step. */
  next: number
  points: Point[]
  resolution: number
}

const FEWEST_LEVELS = 3

/** The trend of a lesson; undefined where conditions are not numbers, or fewer than three of them have results. */
export const trendOf = oncePerPair((plan: Plan, record: LessonRecord): Trend | undefined => {
  const method = measuredCard(plan)?.method
  if (!method || method.instrument !== 'number' || plan.kind === 'before-after') return undefined
  const numbers = new Map(activeConditions(plan).map((one) => [one.id, conditionValue(plan, one)]))
  const points = trialResults(plan, record.readings).flatMap(({ condition, value }) => {
    const x = numbers.get(condition)
    return x === undefined ? [] : [{ x, y: value }]
  })
  return findTrend(points, method.resolution)
})

/**
 * Slope, agreement and shape of results over numbers. A curve whose turning point lies within the range, and whose readings turn
 * there, too, is a peak or a dip; otherwise it levels off or speeds up.
 * @param points     kept readings, one point each
 * @param resolution the instrument's mark: the wobble is never taken smaller than a mark's own
 * @returns undefined with fewer than three different numbers
 * @example findTrend(swingTimes, 0.1)!.pattern // 'levelling-off'
 */
export function findTrend(points: Point[], resolution: number): Trend | undefined {
  const levels = [...new Set(points.map(({ x }) => x))].sort((a, b) => a - b)
  if (levels.length < FEWEST_LEVELS) return undefined
  const shapes = shapesOf(points)
  const shape = simplestShape(shapes)
  const slope = theilSen(points)!
  const turn = turnWithin(shape, points, levels)
  return {
    pattern: patternOf(shape, turn, levels),
    rising: shape.at(levels.at(-1)!) >= shape.at(levels[0]!),
    slope,
    tau: kendallTauB(points),
    shapes,
    shape,
    turn,
    from: levels[0]!,
    to: levels.at(-1)!,
    next: middleOfWidestStep(levels),
    points,
    resolution,
  }
}

export interface Foretold {
  value: number
  /** One further reading would lie between these 95 times in 100. */
  low: number
  high: number
  /** Nothing was tested that far out. */
  outside: boolean
}

/**
 * What a reading at another number would be, by the fitted shape.
 * @example foretell(findTrend(swingTimes, 0.1)!, 50) // { value: 14.17…, low: 13.3…, high: 15.0…, outside: false }
 */
export function foretell({ shape, from, to, resolution }: Trend, x: number): Foretold {
  const value = shape.at(x)
  const variance = Math.max(shape.df > 0 ? shape.residualSum / shape.df : 0, resolution ** 2 / 12)
  const reach = tLeaving(0.05, Math.max(1, shape.df)) * Math.sqrt(variance * (1 + shape.leverage(x)))
  return { value, low: value - reach, high: value + reach, outside: x < from || x > to }
}

/** Where the curve turns, if the readings turn there too: the highest (or the lowest) average must not be the first or the last. */
function turnWithin({ shape, coefficients }: ShapeFit, points: Point[], levels: number[]): number | undefined {
  const [, line = 0, bend = 0] = coefficients
  if (shape !== 'curved' || bend === 0) return undefined
  const turn = -line / (2 * bend)
  if (turn <= levels[0]! || turn >= levels.at(-1)!) return undefined
  const averages = levels.map((level) => mean(points.filter(({ x }) => x === level).map(({ y }) => y)))
  const extreme = averages.indexOf(bend < 0 ? Math.max(...averages) : Math.min(...averages))
  return extreme > 0 && extreme < levels.length - 1 ? turn : undefined
}

function patternOf({ shape, coefficients, at }: ShapeFit, turn: number | undefined, levels: number[]): Pattern {
  if (shape === 'flat') return 'none'
  if (shape === 'straight') return coefficients[1]! > 0 ? 'steady-up' : 'steady-down'
  if (turn !== undefined) return coefficients[2]! < 0 ? 'up-then-down' : 'down-then-up'
  const middle = (levels[0]! + levels.at(-1)!) / 2
  const [first, second] = [Math.abs(at(middle) - at(levels[0]!)), Math.abs(at(levels.at(-1)!) - at(middle))]
  return second < first ? 'levelling-off' : 'speeding-up'
}

function middleOfWidestStep(levels: number[]): number {
  const steps = levels.slice(1).map((level, place) => ({ middle: (level + levels[place]!) / 2, wide: level - levels[place]! }))
  return steps.reduce((widest, step) => (step.wide > widest.wide ? step : widest)).middle
}
