import { mean } from 'simple-statistics'
import { fAbove } from '../chance'
import type { Cell, CellFit } from './cells'
import type { Pair } from './pairs'
import type { SlopesTest } from './slopes'

/** Does the changed thing matter at all. */
export interface Whole {
  F: number
  /** Both already times epsilon. */
  df1: number
  df2: number
  /** How much less freedom there is because kinds do not wobble alike; 1 where there is nothing to judge it by. */
  epsilon: number
  p: number
  /** Too few groups did everything: the whole is no surer than the surest pair. */
  needsPair: boolean
  /** Where conditions are numbers: does more of it make more. */
  slopes: SlopesTest | undefined
  /** What the grade goes by. */
  judged: number
}

const FEWEST_FOR_EPSILON = 3
const FULL_SHARE = 3 / 5

/**
 * The F test of condition after group, its degrees of freedom times Huynh and Feldt's epsilon (1976) from the groups that did every condition. Where fewer
 * than three in five did, and with one group, it is no surer than the surest pair. Where conditions are numbers the groups' slopes are a second way to tell,
 * and the two are one family (Holm).
 * @returns undefined without a model
 */
export function wholeOf(fit: CellFit, pairs: Pair[], slopes?: SlopesTest): Whole | undefined {
  const { model, cells, groups, onCells, conditions } = fit
  if (!model) return undefined
  const full = onCells ? rowsOfFull(cells, conditions) : []
  const epsilon = full.length >= FEWEST_FOR_EPSILON ? huynhFeldt(full) : 1
  const [df1, df2] = [epsilon * model.rank, epsilon * model.df]
  const p = fAbove(model.F, df1, df2)
  const needsPair = !onCells || full.length < FULL_SHARE * groups
  const surest = Math.min(...pairs.map(({ pHolm }) => pHolm))
  const byPairs = needsPair ? Math.max(p, surest) : p
  const judged = slopes ? Math.min(Math.max(byPairs, slopes.p), 2 * Math.min(byPairs, slopes.p)) : byPairs
  return { F: model.F, df1, df2, epsilon, p, needsPair, slopes, judged }
}

/** Cell means of those groups that did every condition, a row a group. */
function rowsOfFull(cells: Cell[], conditions: string[]): number[][] {
  const groups = [...new Set(cells.map(({ group }) => group))]
  return groups.flatMap((group) => {
    const own = new Map(cells.flatMap((cell) => (cell.group === group ? [[cell.condition, cell.value]] : [])))
    return own.size === conditions.length ? [conditions.map((condition) => own.get(condition)!)] : []
  })
}

/**
 * Huynh and Feldt's estimate of how far the covariances of repeated measures are from equal, between 1 / (C - 1) and 1.
 * @param rows a row of as many values for each of three groups or more
 */
function huynhFeldt(rows: number[][]): number {
  const [groups, width] = [rows.length, rows[0]!.length]
  const columns = Array.from({ length: width }, (_, c) => mean(rows.map((row) => row[c]!)))
  const middle = mean(columns)
  const centred = rows.map((row) => {
    const own = mean(row)
    return row.map((value, c) => value - own - columns[c]! + middle)
  })
  let [trace, squares] = [0, 0]
  for (let i = 0; i < width; i += 1)
    for (let j = 0; j < width; j += 1) {
      const shared = centred.reduce((sum, row) => sum + row[i]! * row[j]!, 0) / (groups - 1)
      if (i === j) trace += shared
      squares += shared ** 2
    }
  const free = width - 1
  if (squares === 0) return 1
  const box = trace ** 2 / (free * squares)
  const below = free * (groups - 1 - free * box)
  if (below <= 0) return 1
  return Math.min(1, Math.max(1 / free, (groups * free * box - 2) / below))
}
