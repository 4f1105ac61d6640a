import { fAbove, oncePerPair, tLeaving } from '../chance'
import { conditionValue, type LessonRecord, type Plan } from '../lesson'
import { comesAgain, countsOf, levelsAcross, resultMark, seriesIn, testOf } from '../test'
import { checkPlan } from '../fairness'
import { trialResults } from '../record'
import { fitCells } from './cells'
import { everyTable } from './everyTable'
import { capped, gradeOfP, type Grade, type Limit } from './grade'
import { fitColumns, type Row } from './linearModel'

/** Do the series differ: whether one lies above the other throughout, and whether what is changed does more in one than in the other. */
export interface AcrossSeries {
  /** The same at every level, one above the other. */
  apart: Judged
  /** What is changed does something else from one series to another: by the slope where levels are numbers. undefined with one level. */
  differently: Judged | undefined
  /** How much more each series has than the first, at the levels that both have, groups evened out. */
  differences: { series: string; difference: number; low: number | undefined; high: number | undefined }[]
  /** What one step of the number brings, series by series; undefined where levels are no numbers. */
  slopes: { series: string; slope: number }[] | undefined
  limits: Limit[]
}

interface Judged {
  F: number
  p: number
  df1: number
  df2: number
  grade: Grade
}

/** Why series cannot be compared. */
export type NotAcross = { code: 'no-numbers' | 'not-fair' | 'no-shared-level' | 'too-few' }

const SURE = 0.05

/**
 * Series beside each other, at the levels that several have: F of the series beside levels and groups, and F of level by series, on the means of cells (one
 * group: on its single readings), both over what cells of level and series leave. Where levels are numbers, the second asks whether the slopes differ.
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
  const fit = fitCells(results, resultMark(plan))
  const observed = fit.onCells ? fit.cells : results
  const numbers = levels.map(({ bySeries }) => numberOf(plan, [...bySeries.values()][0]!))
  const at = (condition: string) => placeOf.get(condition)!
  const rows = (columns: (place: { level: number; series: number }) => number[]): Row[] =>
    observed.map(({ group, condition, value }) => {
      const { level, series: id } = at(condition)
      return { group, value, columns: columns({ level, series: there.findIndex((one) => one.id === id) }) }
    })
  const ofLevel = (level: number) => levels.slice(1).map((_, place) => Number(level === place + 1))
  const ofSeries = (own: number) => there.slice(1).map((_, place) => Number(own === place + 1))
  const whole = fitColumns(rows(({ level, series: own }) => crossed(level, own, levels.length, there.length)))
  const least = resultMark(plan) ** 2 / (12 * (fit.onCells ? fit.perCell : 1))
  const meanSquare = whole.df > 0 ? Math.max(whole.residualSum / whole.df, least) : undefined
  const additive = fitColumns(rows(({ level, series: own }) => [...ofLevel(level), ...ofSeries(own)]))
  const alone = fitColumns(rows(({ level }) => ofLevel(level)))
  const limits = limitsOf(plan, record, fit.groups, whole.df)
  const judged = (less: { residualSum: number; df: number }, more: { residualSum: number; df: number }): Judged | undefined => {
    const df1 = less.df - more.df
    if (df1 < 1 || meanSquare === undefined) return undefined
    const F = Math.max(0, less.residualSum - more.residualSum) / df1 / meanSquare
    const p = fAbove(F, df1, whole.df)
    return { F, p, df1, df2: whole.df, grade: capped(limits, gradeOfP(p)) }
  }
  const slopes = numbers.every((one) => one !== undefined) && new Set(numbers).size > 1 ? slopesOf() : undefined
  const apart = judged(alone, additive)
  if (!apart) return { code: 'too-few' }
  const t = tLeaving(SURE, Math.max(1, whole.df))
  return {
    apart,
    differently: slopes ? judged(slopes.same, slopes.own) : judged(additive, whole),
    differences: there.slice(1).map(({ id }, place) => {
      const column = levels.length - 1 + place
      const difference = additive.coefficients[column]!
      const reach = meanSquare === undefined ? undefined : t * Math.sqrt(meanSquare * additive.covariance[column]![column]!)
      return {
        series: id,
        difference,
        low: reach === undefined ? undefined : difference - reach,
        high: reach === undefined ? undefined : difference + reach,
      }
    }),
    slopes: slopes?.each,
    limits,
  }

  /** One slope for all, and one for each; a level of its own for each series either way. */
  function slopesOf() {
    const x = (level: number) => numbers[level]!
    const same = fitColumns(rows(({ level, series: own }) => [...ofSeries(own), x(level)]))
    const own = fitColumns(
      rows((place) => [...ofSeries(place.series), ...there.map((_, one) => (one === place.series ? x(place.level) : 0))]),
    )
    const each = there.map(({ id }, place) => ({ series: id, slope: own.coefficients[there.length - 1 + place]! }))
    return { same, own, each }
  }
})

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
  if (groups === 1 && comesAgain(plan)) limits.add('same-thing')
  if (df < 1) limits.add('no-freedom')
  return [...limits]
}
