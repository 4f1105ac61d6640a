import { fAbove, oncePerPair } from '../chance'
import { activeConditions, conditionValue, type LessonRecord, type Plan } from '../lesson'
import { countsOf, resultMark, testOf } from '../test'
import { oncePerReader, resultsInBlocks } from './blocks'
import { fitCells, type CellFit } from './cells'
import type { Grade } from './grade'
import { fitLevel, type LevelFit, type LevelPoint } from './levelFit'
import { evidenceOf } from './ofLesson'
import { kendallTauB, theilSen } from './ranks'
import { shapesOf, type ShapeFit } from './shapes'
import { slopesTest, type SlopesTest } from './slopes'

/** How the result goes with the numbers of the conditions. `not-seen` while the evidence does not carry any. */
export type Pattern =
  'not-seen' | 'level' | 'uneven' | 'steady-up' | 'steady-down' | 'levelling-off' | 'speeding-up' | 'up-then-down' | 'down-then-up'

/** An F test of one further coefficient. */
interface Adds {
  F: number
  p: number
}

export interface Trend {
  pattern: Pattern
  /** On the whole more with more, or less with more. */
  rising: boolean
  /** The straight line: its slope is the one that is said. */
  line: LevelFit
  curve: LevelFit | undefined
  /** The one that is said, drawn and foretold with. */
  taken: LevelFit
  /** Does the line explain anything; does the bend add to the line. undefined without freedom to judge it. */
  lineAdds: Adds | undefined
  bendAdds: Adds | undefined
  /** The groups' own lines; undefined with fewer than three groups, whose line is judged by `lineAdds`. */
  slopes: SlopesTest | undefined
  /** What the numbers leave when each has its own average, and its freedom. */
  meanSquare: number
  df: number
  /** The teacher's second opinion. */
  theilSen: number
  tau: number | undefined
  shapes: ShapeFit[]
  /** Where a peak or a dip lies. */
  turn: number | undefined
  from: number
  to: number
  /** A number between those tested that nobody has tried: the middle of the widest step. */
  next: number
  /** The numbers are counts: there is nothing between two of them. */
  counts: boolean
  /** Average of the results for each number, groups evened out. */
  averages: { x: number; y: number }[]
  groups: number
}

const FEWEST_LEVELS = 3
const SHOWS_BELOW = 0.05

/** The trend of a lesson; undefined where conditions are not numbers, or fewer than three of them have results. */
export const trendOf = oncePerPair((plan: Plan, record: LessonRecord): Trend | undefined => {
  const { method, way, kind } = testOf(plan)
  const evidence = evidenceOf(plan, record)
  if (!evidence || !method || !way.isAmount || kind.readsTwice) return undefined
  if (countsOf(plan) === 'until') return undefined
  const compared = activeConditions(plan).filter(({ id }) => !evidence.notFair || evidence.notFair.compared.includes(id))
  const numbers = new Map(compared.map((one) => [one.id, conditionValue(plan, one)]))
  const points = oncePerReader(plan, record, resultsInBlocks(plan, record)).flatMap(({ group, condition, value }) => {
    const x = numbers.get(condition)
    return x === undefined ? [] : [{ group, x, y: value }]
  })
  return findTrend(points, { resolution: resultMark(plan), grade: evidence.grade, counts: plan.conditionUnit === 'count' })
})

/**
 * Slope, bend and pattern of results over numbers, groups evened out: least squares on the means of cells (one group: on its single readings). A pattern
 * is named only when the grade is clear; a bend only when the quadratic adds to the line with p at most 0.05, over the mean square that the numbers as
 * kinds leave. A curve whose turning point lies within the range, with the highest (lowest) average inside, too, is a peak or a dip.
 * @param points kept results, one point each
 * @returns undefined with fewer than three different numbers
 * @example lineOf(20, 40, 60).pattern // => 'steady-up'
 */
export function findTrend(
  points: LevelPoint[],
  { resolution, grade, counts = false }: { resolution: number; grade: Grade; counts?: boolean },
): Trend | undefined {
  const levels = [...new Set(points.map(({ x }) => x))].sort((a, b) => a - b)
  if (levels.length < FEWEST_LEVELS) return undefined
  const fit = fitCells(
    points.map(({ group, x, y }) => ({ group, condition: String(x), value: y })),
    resolution,
  )
  const fitted = fit.onCells ? fit.cells.map(({ group, condition, value }) => ({ group, x: Number(condition), y: value })) : points
  const line = fitLevel(fitted, 1)
  const curve = canBend(fitted) ? fitLevel(fitted, 2) : undefined
  const judged = judge(fit, fitted, line, curve, resolution)
  const averages = levels.map((x) => ({ x, y: fit.evened.get(String(x))! }))
  const bends = grade === 'clear' && curve !== undefined && (judged.bendAdds?.p ?? 1) <= SHOWS_BELOW
  const taken = bends ? curve : line
  const turn = bends ? turnWithin(curve, averages) : undefined
  return {
    pattern: patternOf(grade, judged.slopes ?? judged.lineAdds, taken, turn, averages),
    rising: taken.at(levels.at(-1)!) >= taken.at(levels[0]!),
    line,
    curve,
    taken,
    ...judged,
    theilSen: theilSen(points)!,
    tau: kendallTauB(points),
    shapes: shapesOf(points),
    turn,
    from: levels[0]!,
    to: levels.at(-1)!,
    next: counts ? nextCount(levels) : middleOfWidestStep(levels),
    counts,
    averages,
    groups: fit.groups,
  }
}

/** A curve through the points of each group needs three numbers in one of them. */
function canBend(points: LevelPoint[]): boolean {
  const numbers = new Map<string, Set<number>>()
  for (const { group, x } of points) numbers.set(group, (numbers.get(group) ?? new Set()).add(x))
  return [...numbers.values()].some(({ size }) => size >= FEWEST_LEVELS)
}

/** The line against nothing, and the bend against the line, over what the numbers as kinds leave. */
function judge(
  { model, onCells, perCell }: CellFit,
  points: LevelPoint[],
  line: LevelFit,
  curve: LevelFit | undefined,
  resolution: number,
): Pick<Trend, 'lineAdds' | 'bendAdds' | 'slopes' | 'meanSquare' | 'df'> {
  if (!model) {
    const df = Math.max(1, line.df)
    return { lineAdds: undefined, bendAdds: undefined, slopes: undefined, meanSquare: line.residualSum / df, df }
  }
  const { residualVariance: meanSquare, df } = model
  const adds = (gained: number): Adds => {
    const F = Math.max(0, gained) / meanSquare
    return { F, p: fAbove(F, 1, df) }
  }
  // Where groups have lines of their own, those say how much luck there is in one.
  const slopes = onCells ? slopesTest(points, resolution ** 2 / (12 * perCell)) : undefined
  return {
    lineAdds: adds(withinGroups(points) - line.residualSum),
    slopes,
    bendAdds: curve ? adds(line.residualSum - curve.residualSum) : undefined,
    meanSquare,
    df,
  }
}

/** Squares round each group's own mean. */
function withinGroups(points: LevelPoint[]): number {
  const sums = new Map<string, { count: number; sum: number }>()
  for (const { group, y } of points) {
    const own = sums.get(group) ?? { count: 0, sum: 0 }
    sums.set(group, { count: own.count + 1, sum: own.sum + y })
  }
  return points.reduce((all, { group, y }) => all + (y - sums.get(group)!.sum / sums.get(group)!.count) ** 2, 0)
}

/** Where the curve turns, if the averages turn there too: the highest (or the lowest) one must not be the first or the last. */
function turnWithin({ c1, c2 }: LevelFit, averages: { x: number; y: number }[]): number | undefined {
  const turn = -c1 / (2 * c2)
  if (turn <= averages[0]!.x || turn >= averages.at(-1)!.x) return undefined
  const values = averages.map(({ y }) => y)
  const extreme = values.indexOf(c2 < 0 ? Math.max(...values) : Math.min(...values))
  return extreme > 0 && extreme < values.length - 1 ? turn : undefined
}

function patternOf(
  grade: Grade,
  line: { p: number } | undefined,
  taken: LevelFit,
  turn: number | undefined,
  averages: Trend['averages'],
): Pattern {
  if (grade === 'same') return 'level'
  if (grade !== 'clear') return 'not-seen'
  if (taken.c2 === 0) {
    if ((line?.p ?? 1) > SHOWS_BELOW) return 'uneven'
    return taken.c1 > 0 ? 'steady-up' : 'steady-down'
  }
  if (turn !== undefined) return taken.c2 < 0 ? 'up-then-down' : 'down-then-up'
  const rates = averages.slice(1).map(({ x, y }, place) => Math.abs((y - averages[place]!.y) / (x - averages[place]!.x)))
  const [first, last] = [averages[0]!.x, averages.at(-1)!.x]
  const middle = (first + last) / 2
  const shrinks = Math.abs(taken.at(last) - taken.at(middle)) < Math.abs(taken.at(middle) - taken.at(first))
  // The curve alone may say so because of one odd step in the middle: what it does has to be seen at its ends, too.
  if (shrinks === rates.at(-1)! < rates[0]!) return shrinks ? 'levelling-off' : 'speeding-up'
  return taken.at(last) > taken.at(first) ? 'steady-up' : 'steady-down'
}

/** Two and a half layers there are not: a whole number between, or the next one beyond. */
function nextCount(levels: number[]): number {
  const between = Math.round(middleOfWidestStep(levels))
  return levels.includes(between) ? levels.at(-1)! + 1 : between
}

function middleOfWidestStep(levels: number[]): number {
  const steps = levels.slice(1).map((level, place) => ({ middle: (level + levels[place]!) / 2, wide: level - levels[place]! }))
  return steps.reduce((widest, step) => (step.wide > widest.wide ? step : widest)).middle
}
