import { fAbove, invert, tLeaving, tTwoSided } from '../chance'

export interface Observation {
  group: string
  condition: string
  value: number
}

export interface PairContrast {
  a: string
  b: string
  /** Result of b minus result of a, groups evened out. */
  difference: number
  standardError: number
  /** Plain 95 % interval. */
  low: number
  high: number
  /** Plain 90 % interval, for "the same as far as we can show". */
  low90: number
  high90: number
  p: number
  pHolm: number
}

export interface Model {
  /** What the model leaves, squared and added up. */
  residualSum: number
  residualVariance: number
  /** Degrees of freedom of condition: conditions less connected pieces. */
  rank: number
  df: number
  F: number
  p: number
  pairs: PairContrast[]
}

/** What least squares makes of values in groups and conditions, with or without freedom left to judge it. */
export interface Fit {
  conditions: string[]
  /** Conditions that some chain of groups compares, in the order of the values. */
  pieces: string[][]
  /** Condition effects plus the mean of the levels of the groups in the same piece, by condition. */
  evened: Map<string, number>
  df: number
  /** undefined with fewer than two connected conditions or no degrees of freedom. */
  model: Model | undefined
}

/**
 * Least squares of value on group and condition (group drops out by itself when there is one), with the F test of condition
 * after group and every pair's contrast, Holm's correction over the pairs. Each group's own level is taken out first, which
 * leaves one small symmetric system in the conditions (Searle, "Linear Models", chapter 7). Pairs that no chain of groups
 * connects cannot be compared and are left out.
 * @param observations  values in one unit: single readings, or one mean a cell
 * @param leastVariance the residual variance is never taken smaller
 * @example fitLevels([{ group: 'A', condition: 'x', value: 7 }, { group: 'A', condition: 'y', value: 9 }], 0).evened.get('y') // => 9
 */
export function fitLevels(observations: Observation[], leastVariance: number): Fit {
  const conditions = [...new Set(observations.map((one) => one.condition))]
  const groups = [...new Set(observations.map((one) => one.group))]
  // Counted from the overall mean, so that squares of large values do not drown small differences.
  const middle = observations.reduce((sum, one) => sum + one.value, 0) / observations.length
  const centred = observations.map((one) => ({ ...one, value: one.value - middle }))
  const table = tabulate(centred, conditions, groups)
  const pieces = connectedPieces(table.counts)
  const rank = conditions.length - pieces.length
  // With several pieces, the groups' levels and the pieces share one dimension each already.
  const df = observations.length - groups.length - rank
  const { information, totals } = eliminateGroups(table)
  const covariance = invertByPiece(information, pieces)
  const effects = covariance.map((row) => dot(row, totals))
  const named = {
    conditions,
    pieces: pieces.map((piece) => piece.map((place) => conditions[place]!)),
    evened: evenedAverages(table, pieces, effects, conditions, middle),
    df,
  }
  if (rank < 1 || df < 1) return { ...named, model: undefined }

  const explained = dot(effects, totals)
  const withinGroups = centred.reduce((sum, one) => sum + one.value ** 2, 0) - table.groupSquares
  const residualSum = Math.max(0, withinGroups - explained)
  const residualVariance = Math.max(residualSum / df, leastVariance)
  const F = Math.max(explained, 0) / rank / residualVariance
  const critical95 = tLeaving(0.05, df)
  const critical90 = tLeaving(0.1, df)

  const contrasts = pieces
    .flatMap((piece) => allPairs(piece))
    .sort(([a, b], [c, d]) => a - c || b - d)
    .map(([a, b]) => {
      const difference = effects[b]! - effects[a]!
      const spread = covariance[a]![a]! + covariance[b]![b]! - 2 * covariance[a]![b]!
      const standardError = Math.sqrt(residualVariance * spread)
      return {
        a: conditions[a]!,
        b: conditions[b]!,
        difference,
        standardError,
        low: difference - critical95 * standardError,
        high: difference + critical95 * standardError,
        low90: difference - critical90 * standardError,
        high90: difference + critical90 * standardError,
        p: tTwoSided(standardError === 0 ? Infinity : difference / standardError, df),
      }
    })
  const corrected = holm(contrasts.map((contrast) => contrast.p))
  const pairs = contrasts.map((contrast, place) => ({ ...contrast, pHolm: corrected[place]! }))
  return { ...named, model: { residualSum, residualVariance, rank, df, F, p: fAbove(F, rank, df), pairs } }
}

/**
 * The fit on single readings, each counted by itself: for one group, whose things are fresh each time.
 * @param resolution the instrument's mark; the residual variance is never below resolution squared / 12
 * @returns undefined when there are fewer than two connected conditions or no degrees of freedom left
 * @example fitGroupsAndConditions([7, 7, 7].map((value) => ({ group: 'A', condition: 'x', value })).concat(
 *   [9, 9, 9].map((value) => ({ group: 'A', condition: 'y', value }))), 1)!.F // 72
 */
export function fitGroupsAndConditions(observations: Observation[], resolution: number): Model | undefined {
  return observations.length === 0 ? undefined : fitLevels(observations, resolution ** 2 / 12).model
}

/** Within a piece, every condition's effect on top of the mean level of the groups that did any of it. */
function evenedAverages(
  { counts, sums }: Table,
  pieces: number[][],
  effects: number[],
  conditions: string[],
  middle: number,
): Map<string, number> {
  const evened = new Map<string, number>()
  for (const piece of pieces) {
    const levels = counts.flatMap((row, group) => {
      const count = piece.reduce((sum, place) => sum + row[place]!, 0)
      const rest = piece.reduce((sum, place) => sum + sums[group]![place]! - row[place]! * effects[place]!, 0)
      return count === 0 ? [] : [rest / count]
    })
    const level = total(levels) / levels.length
    for (const place of piece) evened.set(conditions[place]!, middle + level + effects[place]!)
  }
  return new Map(conditions.map((condition) => [condition, evened.get(condition)!]))
}

/**
 * Holm's step-down correction (1979): the smallest p times the number of tests, the next times one fewer, never falling.
 * @example holm([0.01, 0.04, 0.03]) // => [0.03, 0.06, 0.06]
 */
export function holm(values: number[]): number[] {
  const order = values.map((_, place) => place).sort((a, b) => values[a]! - values[b]!)
  const corrected: number[] = []
  let highest = 0
  order.forEach((place, step) => {
    highest = Math.max(highest, Math.min(1, values[place]! * (values.length - step)))
    corrected[place] = highest
  })
  return corrected
}

interface Table {
  counts: number[][]
  sums: number[][]
  /** Sum over groups of (sum of values) squared / count, on centred values. */
  groupSquares: number
}

function tabulate(observations: Observation[], conditions: string[], groups: string[]): Table {
  const conditionPlace = new Map(conditions.map((condition, place) => [condition, place]))
  const groupPlace = new Map(groups.map((group, place) => [group, place]))
  const counts = groups.map(() => conditions.map(() => 0))
  const sums = groups.map(() => conditions.map(() => 0))
  for (const one of observations) {
    const [g, c] = [groupPlace.get(one.group)!, conditionPlace.get(one.condition)!]
    counts[g]![c]! += 1
    sums[g]![c]! += one.value
  }
  const groupSquares = counts.reduce((sum, row, g) => sum + total(sums[g]!) ** 2 / total(row), 0)
  return { counts, sums, groupSquares }
}

function eliminateGroups({ counts, sums }: Table) {
  const size = counts[0]!.length
  const information = Array.from({ length: size }, () => new Array<number>(size).fill(0))
  const totals = new Array<number>(size).fill(0)
  counts.forEach((row, g) => {
    const [count, sum] = [total(row), total(sums[g]!)]
    for (let i = 0; i < size; i += 1) {
      totals[i]! += sums[g]![i]! - (row[i]! * sum) / count
      information[i]![i]! += row[i]!
      for (let j = 0; j < size; j += 1) information[i]![j]! -= (row[i]! * row[j]!) / count
    }
  })
  return { information, totals }
}

/** Conditions that some chain of groups compares, as places. */
function connectedPieces(counts: number[][]): number[][] {
  const size = counts[0]?.length ?? 0
  const piece = Array.from({ length: size }, (_, place) => place)
  for (const row of counts) {
    const together = piece.filter((_, place) => row[place]! > 0)
    const target = Math.min(...together)
    for (let place = 0; place < size; place += 1) if (together.includes(piece[place]!)) piece[place] = target
  }
  return [...new Set(piece)].map((name) => piece.flatMap((own, place) => (own === name ? [place] : [])))
}

/** Inverse of the information with the first condition of every piece held at zero. */
function invertByPiece(information: number[][], pieces: number[][]): number[][] {
  const size = information.length
  const inverse = Array.from({ length: size }, () => new Array<number>(size).fill(0))
  for (const [, ...free] of pieces) {
    const block = invert(free.map((i) => free.map((j) => information[i]![j]!)))
    free.forEach((i, row) => free.forEach((j, column) => (inverse[i]![j] = block[row]![column]!)))
  }
  return inverse
}

function allPairs(places: number[]): [number, number][] {
  return places.flatMap((a, index) => places.slice(index + 1).map((b): [number, number] => [a, b]))
}

function total(values: number[]): number {
  return values.reduce((sum, value) => sum + value, 0)
}

function dot(a: number[], b: number[]): number {
  return a.reduce((sum, value, place) => sum + value * b[place]!, 0)
}
