import { specimensOf } from '../arrangement'
import { fAbove, oncePerPair, tLeaving } from '../chance'
import { conditionValue, ownerOf, type LessonRecord, type Plan } from '../lesson'
import { countsOf, levelsAcross, mainView, resultMark, seriesIn, testOf } from '../test'
import { checkPlan } from '../fairness'
import { trialResults } from '../record'
import { fitCells } from './cells'
import { holm } from './model'
import { everyTable } from './everyTable'
import { capped, gradeOfP, type Grade, type Limit } from './grade'
import { fitColumns, type LinearFit, type Row } from './linearModel'
import { seriesTests, type BlockTest, type SeriesCell, type SeriesTests } from './seriesTests'

/** Do the series differ: whether one lies above the other throughout, and whether what is changed does more in one than in the other. */
export interface AcrossSeries {
  /** The same at every level, one above the other. */
  apart: Judged
  /** What is changed does something else from one series to another: by the slope where levels are numbers. undefined with one level. */
  differently: Judged | undefined
  /** How much more each series has than the first, at the levels that both have, groups evened out. */
  differences: { series: string; difference: number; low: number; high: number }[]
  /** What one step of the number brings, series by series; undefined where levels are no numbers. */
  slopes: { series: string; slope: number }[] | undefined
  limits: Limit[]
}

interface Judged extends BlockTest {
  grade: Grade
}

/** Why series cannot be compared. */
export type NotAcross = { code: 'no-numbers' | 'not-fair' | 'no-shared-level' | 'too-few' }

const SURE = 0.05

/**
 * Series beside each other, at the levels that several have, each told apart against how much groups differ in it (`seriesTests`); a class at one apparatus
 * goes by its single readings. Where levels are numbers, the second question is whether the slopes differ.
 * @returns why not, where they cannot be compared; undefined where there are no series
 */
export const acrossSeries = oncePerPair((plan: Plan, record: LessonRecord): AcrossSeries | NotAcross | undefined => {
  const series = seriesIn(plan)
  if (series.length === 0) return undefined
  if (!testOf(plan).way.isAmount || countsOf(plan) === 'until') return { code: 'no-numbers' }
  const levels = levelsAcross(plan)
  const placeOf = new Map(
    levels.flatMap(({ bySeries }, level) => [...bySeries].map(([id, condition]) => [condition, { level, series: id }])),
  )
  if (levels.length === 0) return { code: 'no-shared-level' }
  const pairs = checkPlan(plan)?.pairs.filter(({ a, b }) => placeOf.get(a)?.level === placeOf.get(b)?.level) ?? []
  if (pairs.some(({ a, b, status }) => placeOf.has(a) && placeOf.has(b) && status !== 'fair')) return { code: 'not-fair' }
  const results = trialResults({ ...plan, series: [], seriesFactor: null }, record.readings).filter(({ condition }) =>
    placeOf.has(condition),
  )
  const there = series.filter(({ id }) => results.some(({ condition }) => placeOf.get(condition)!.series === id))
  if (there.length < 2) return { code: 'too-few' }
  const fit = fitCells(
    results.map((one) => ({ ...one, group: ownerOf(plan, one.group) })),
    resultMark(plan),
  )
  const numbered = levels.map(({ bySeries }) => numberOf(plan, [...bySeries.values()][0]!))
  const numbers = numbered.every((one) => one !== undefined) && new Set(numbered).size > 1 ? numbered : undefined
  const cells = (fit.onCells ? fit.cells : results).map(({ group, condition, value }) => {
    const { level, series: id } = placeOf.get(condition)!
    return { group, value, level, series: there.findIndex((one) => one.id === id) }
  })
  const least = resultMark(plan) ** 2 / (12 * (fit.onCells ? fit.perCell : 1))
  const asked = { series: there.length, levels: levels.length, numbers, least }
  const tests = fit.onCells ? seriesTests(cells, there.length, numbers, least) : seriesOfOneGroup(cells, asked)
  if (!tests) return { code: 'too-few' }
  const { apart, differently, differences } = tests
  const limits = limitsOf(plan, record, fit.groups, apart.df2)
  // Two questions asked at once.
  const corrected = holm([apart, differently].flatMap((test) => test?.p ?? []))
  const graded = (test: BlockTest, place: number): Judged => ({ ...test, grade: capped(limits, gradeOfP(corrected[place]!)) })
  return {
    apart: graded(apart, 0),
    differently: differently && graded(differently, 1),
    differences: differences.map((one, place) => ({ series: there[place + 1]!.id, ...one })),
    slopes: numbers && slopesOf(cells, asked).map((slope, place) => ({ series: there[place]!.id, slope })),
    limits,
  }
})

interface Asked {
  series: number
  levels: number
  numbers: number[] | undefined
  least: number
}

const ofSeries = (own: number, { series }: Asked) => Array.from({ length: series - 1 }, (_, place) => Number(own === place + 1))
const rowsOf = (cells: SeriesCell[], columns: (cell: SeriesCell) => number[]): Row[] =>
  cells.map((cell) => ({ group: cell.group, value: cell.value, columns: columns(cell) }))

/** What one step of the number brings in each series, each with a level of its own. */
function slopesOf(cells: SeriesCell[], asked: Asked): number[] {
  return ownSlopes(cells, asked).coefficients.slice(asked.series - 1)
}

function ownSlopes(cells: SeriesCell[], asked: Asked): LinearFit {
  const x = (level: number) => asked.numbers![level]!
  return fitColumns(
    rowsOf(cells, ({ level, series }) => [
      ...ofSeries(series, asked),
      ...Array.from({ length: asked.series }, (_, one) => (one === series ? x(level) : 0)),
    ]),
  )
}

/** One apparatus, no groups that could differ: F over what single readings of the same level and series leave. */
function seriesOfOneGroup(cells: SeriesCell[], asked: Asked): SeriesTests | undefined {
  const { series, levels, numbers, least } = asked
  const ofLevel = (level: number) => Array.from({ length: levels - 1 }, (_, place) => Number(level === place + 1))
  const whole = fitColumns(rowsOf(cells, (cell) => crossed(cell.level, cell.series, levels, series)))
  if (whole.df < 1) return undefined
  const meanSquare = Math.max(whole.residualSum / whole.df, least)
  const additive = fitColumns(rowsOf(cells, (cell) => [...ofLevel(cell.level), ...ofSeries(cell.series, asked)]))
  const alone = fitColumns(rowsOf(cells, ({ level }) => ofLevel(level)))
  const tested = (fewer: LinearFit, more: LinearFit): BlockTest | undefined => {
    const df1 = fewer.df - more.df
    if (df1 < 1) return undefined
    const F = Math.max(0, fewer.residualSum - more.residualSum) / df1 / meanSquare
    return { F, p: fAbove(F, df1, whole.df), df1, df2: whole.df }
  }
  const apart = tested(alone, additive)
  if (!apart) return undefined
  const t = tLeaving(SURE, whole.df)
  const oneSlope = numbers && fitColumns(rowsOf(cells, (cell) => [...ofSeries(cell.series, asked), numbers[cell.level]!]))
  return {
    apart,
    differently: oneSlope ? tested(oneSlope, ownSlopes(cells, asked)) : tested(additive, whole),
    differences: Array.from({ length: series - 1 }, (_, place) => {
      const column = levels - 1 + place
      const difference = additive.coefficients[column]!
      const reach = t * Math.sqrt(meanSquare * additive.covariance[column]![column]!)
      return { difference, low: difference - reach, high: difference + reach }
    }),
  }
}

/** A column for each pair of level and series but the first. */
function crossed(level: number, series: number, levels: number, count: number): number[] {
  return Array.from({ length: levels * count - 1 }, (_, place) => Number(level * count + series === place + 1))
}

function numberOf(plan: Plan, id: string): number | undefined {
  const condition = plan.conditions.find((one) => one.id === id)
  return condition && conditionValue(plan, condition)
}

/** What caps the tables of the series caps what is said across them. */
function limitsOf(plan: Plan, record: LessonRecord, groups: number, df: number): Limit[] {
  const own = everyTable(plan, record).flatMap(({ plan: view, evidence }) =>
    view.measured === plan.measured ? evidence.limits : [],
  )
  const limits = new Set<Limit>(own.filter((limit) => limit === 'unfinished' || limit === 'one-reading-each'))
  if (specimensOf(plan) === 'one') limits.add('same-thing')
  if (mainView(plan, record.readings)) limits.add('also-seen')
  if (df < 1) limits.add('no-freedom')
  return [...limits]
}
