import { mean, sum } from 'simple-statistics'
import { fAbove, tLeaving } from '../chance'

/** A group's average at one level of one series. */
export interface SeriesCell {
  group: string
  series: number
  level: number
  value: number
}

/** An F test over how much groups differ in what is asked. */
export interface BlockTest {
  F: number
  p: number
  df1: number
  df2: number
}

export interface SeriesTests {
  /** Does one series lie above another throughout. */
  apart: BlockTest
  /** How much more each series has than the first, by place. */
  differences: { difference: number; low: number; high: number }[]
  /** Does the change do more to one than to another; undefined with one level, or fewer than two groups that did everything. */
  differently: BlockTest | undefined
}

const SURE = 0.05

/**
 * Series beside each other, each told apart against how much groups differ in it (a group is a block; Winer, "Statistical Principles in Experimental
 * Design", chapter 7): F of series over group by series on each group's averages at the levels that it did of all series; where levels are numbers F of the groups' own
 * slopes, with kinds series by level over group by series by level. A group that did not do every series adds nothing.
 * @param numbers     what the levels stand for, where they are numbers
 * @param cellVariance no cell's variance is smaller: the mark's own
 * @returns undefined where fewer than two groups did all series
 */
export function seriesTests(
  cells: SeriesCell[],
  series: number,
  numbers: number[] | undefined,
  cellVariance = 0,
): SeriesTests | undefined {
  const tables = tablesOf(cells, series)
  const averages = tables.flatMap(({ levels, at }) => {
    const shared = [...levels].filter((level) =>
      Array.from({ length: series }, (_, s) => at(s, level)).every((one) => one !== undefined),
    )
    return shared.length === 0
      ? []
      : [{ shared: shared.length, row: columnsOf(series, (s) => mean(shared.map((level) => at(s, level)!))) }]
  })
  if (averages.length < 2) return undefined
  const least = cellVariance / mean(averages.map(({ shared }) => shared))
  const rows = averages.map(({ row }) => row)
  return {
    apart: blockTest(rows, least),
    differences: columnsOf(series - 1, (s) => againstFirst(rows, s + 1, least)),
    differently: numbers ? slopesDiffer(tables, series, numbers, cellVariance) : levelsDiffer(tables, series, cellVariance),
  }
}

interface GroupTable {
  levels: Set<number>
  at: (series: number, level: number) => number | undefined
}

function tablesOf(cells: SeriesCell[], series: number): GroupTable[] {
  const groups = new Map<string, Map<number, number>>()
  for (const { group, series: s, level, value } of cells)
    groups.set(group, (groups.get(group) ?? new Map<number, number>()).set(level * series + s, value))
  return [...groups.values()].map((own) => ({
    levels: new Set([...own.keys()].map((key) => Math.floor(key / series))),
    at: (s, level) => own.get(level * series + s),
  }))
}

/** Columns against what groups differ in them; a row a group. */
function blockTest(rows: number[][], least: number): BlockTest {
  const [groups, width] = [rows.length, rows[0]!.length]
  const columns = columnsOf(width, (c) => mean(rows.map((row) => row[c]!)))
  const middle = mean(columns)
  const between = groups * sum(columns.map((one) => (one - middle) ** 2))
  const rest = sum(
    rows.map((row) => {
      const own = mean(row)
      return sum(row.map((value, c) => (value - own - columns[c]! + middle) ** 2))
    }),
  )
  return tested(between, width - 1, rest, (groups - 1) * (width - 1), least)
}

function tested(between: number, df1: number, rest: number, df2: number, least: number): BlockTest {
  const F = between / df1 / Math.max(rest / df2, least, Number.MIN_VALUE)
  return { F, p: fAbove(F, df1, df2), df1, df2 }
}

function againstFirst(rows: number[][], column: number, least: number): SeriesTests['differences'][number] {
  const differences = rows.map((row) => row[column]! - row[0]!)
  const [difference, df] = [mean(differences), rows.length - 1]
  const variance = Math.max(sum(differences.map((one) => (one - difference) ** 2)) / df, 2 * least)
  const reach = tLeaving(SURE, df) * Math.sqrt(variance / rows.length)
  return { difference, low: difference - reach, high: difference + reach }
}

function slopesDiffer(tables: GroupTable[], series: number, numbers: number[], cellVariance: number): BlockTest | undefined {
  const found = tables.flatMap(({ levels, at }) => {
    const lines = columnsOf(series, (s) =>
      slopeOf(
        [...levels].flatMap((level) => {
          const y = at(s, level)
          return y === undefined ? [] : [{ x: numbers[level]!, y }]
        }),
      ),
    )
    return lines.every((one) => one !== undefined) ? [lines] : []
  })
  if (found.length < 2) return undefined
  const spread = mean(found.flatMap((lines) => lines.map(({ squares }) => squares)))
  return blockTest(
    found.map((lines) => lines.map(({ slope }) => slope)),
    cellVariance / spread,
  )
}

/** A straight line through the points, and how far they lie apart; undefined without two different numbers. */
export function slopeOf(points: { x: number; y: number }[]): { slope: number; squares: number } | undefined {
  if (points.length < 2) return undefined
  const [x, y] = [mean(points.map((one) => one.x)), mean(points.map((one) => one.y))]
  const squares = sum(points.map((one) => (one.x - x) ** 2))
  return squares === 0 ? undefined : { slope: sum(points.map((one) => (one.x - x) * (one.y - y))) / squares, squares }
}

function levelsDiffer(tables: GroupTable[], series: number, cellVariance: number): BlockTest | undefined {
  const every = new Set(tables.flatMap(({ levels }) => [...levels]))
  if (every.size < 2) return undefined
  const levels = [...every]
  const full = tables.flatMap(({ at }) => {
    const own = levels.map((level) => columnsOf(series, (s) => at(s, level)))
    return own.every((row) => row.every((one) => one !== undefined)) ? [own as number[][]] : []
  })
  if (full.length < 2) return undefined
  const [G, L, S] = [full.length, levels.length, series]
  const places = columnsOf(L * S, (place) => ({ l: Math.floor(place / S), s: place % S }))
  const ofLevel = columnsOf(L, (l) => mean(full.flatMap((own) => own[l]!)))
  const ofSeries = columnsOf(S, (s) => mean(full.flatMap((own) => own.map((row) => row[s]!))))
  const both = columnsOf(L, (l) => columnsOf(S, (s) => mean(full.map((own) => own[l]![s]!))))
  const all = mean(ofLevel)
  const between = G * sum(places.map(({ l, s }) => (both[l]![s]! - ofLevel[l]! - ofSeries[s]! + all) ** 2))
  const rest = sum(
    full.map((own) => {
      const ownLevel = columnsOf(L, (l) => mean(own[l]!))
      const ownSeries = columnsOf(S, (s) => mean(own.map((row) => row[s]!)))
      const ownAll = mean(ownLevel)
      return sum(
        places.map(({ l, s }) => {
          const expected = ownLevel[l]! + ownSeries[s]! + both[l]![s]! - ownAll - ofLevel[l]! - ofSeries[s]! + all
          return (own[l]![s]! - expected) ** 2
        }),
      )
    }),
  )
  const df1 = (L - 1) * (S - 1)
  return tested(between, df1, rest, (G - 1) * df1, cellVariance)
}

function columnsOf<T>(count: number, of: (place: number) => T): T[] {
  return Array.from({ length: count }, (_, place) => of(place))
}
