import { seededRandom } from '../chance'
import type { Observation } from './model'

export interface Friedman {
  /** Rank averages by condition, 1 for the smallest value. */
  ranks: { condition: string; average: number }[]
  statistic: number
  blocks: number
  p: number
}

const MOST_EXACT = 20_000
const DRAWS = 10_000
const SEED = 1937

/**
 * Do the blocks (groups, or the repeats of one group) put the conditions in the same order more often than luck would? Friedman's
 * statistic with ties averaged (Friedman, 1937; corrected for ties as in Conover, "Practical Nonparametric Statistics", 5.8),
 * its p value over all arrangements within blocks where there are at most 20,000 of them, else over seeded ones.
 * @param observations every block with a value for every condition counts; others are left out
 * @returns undefined with fewer than two conditions or two whole blocks
 * @example friedman(['A', 'B', 'C'].flatMap((group) => ['a', 'b', 'c'].map((condition, value) => ({ group, condition, value }))))
 *   // => { statistic: 6, p: 1 / 36, … }
 */
export function friedman(observations: Observation[]): Friedman | undefined {
  const { conditions, blocks } = wholeBlocks(observations)
  if (conditions.length < 2 || blocks.length < 2) return undefined
  const rows = blocks.map((own) => ranked(conditions.map((id) => own.get(id)!)))
  return {
    ranks: conditions.map((condition, place) => ({
      condition,
      average: rows.reduce((sum, row) => sum + row[place]!, 0) / rows.length,
    })),
    statistic: statisticOf(rows),
    blocks: rows.length,
    p: chanceOfAtLeast(rows),
  }
}

/** The conditions, and the blocks that have a value for each of them, values of one place averaged. */
export function wholeBlocks(observations: Observation[]): { conditions: string[]; blocks: Map<string, number>[] } {
  const conditions = [...new Set(observations.map((one) => one.condition))]
  return { conditions, blocks: [...blocksOf(observations).values()].filter((own) => conditions.every((id) => own.has(id))) }
}

function blocksOf(observations: Observation[]): Map<string, Map<string, number>> {
  const sums = new Map<string, Map<string, number[]>>()
  for (const { group, condition, value } of observations) {
    const own = sums.get(group) ?? new Map<string, number[]>()
    sums.set(group, own.set(condition, [...(own.get(condition) ?? []), value]))
  }
  const average = (values: number[]) => values.reduce((sum, value) => sum + value, 0) / values.length
  return new Map(
    [...sums].map(([group, own]) => [group, new Map([...own].map(([condition, values]) => [condition, average(values)]))]),
  )
}

/** `ranked([5, 9, 5]) // [1.5, 3, 1.5]` */
function ranked(values: number[]): number[] {
  return values.map((value) => {
    const below = values.filter((other) => other < value).length
    const same = values.filter((other) => other === value).length
    return below + (same + 1) / 2
  })
}

/** Everything but the squared column sums stays the same however the values lie within their blocks. */
function statisticOf(rows: number[][]): number {
  const size = rows[0]!.length
  const middle = (size + 1) / 2
  const within = rows.reduce((sum, row) => sum + row.reduce((own, rank) => own + (rank - middle) ** 2, 0), 0)
  return within === 0 ? 0 : ((size - 1) * squaredSums(rows)) / within
}

function squaredSums(rows: number[][]): number {
  const size = rows[0]!.length
  let squares = 0
  for (let place = 0; place < size; place += 1) {
    let sum = 0
    for (const row of rows) sum += row[place]! - (size + 1) / 2
    squares += sum * sum
  }
  return squares
}

// The same ranks are asked about on every edit of a plan; drawing thousands of arrangements is worth it once.
const MOST_ANSWERED = 50
const answered = new Map<string, number>()

function chanceOfAtLeast(rows: number[][]): number {
  const key = JSON.stringify(rows)
  const known = answered.get(key)
  if (known !== undefined) return known
  const orders = permutationsOf(rows[0]!.length)
  // Only how the other blocks lie to the first one matters.
  const exact = orders !== undefined && orders.length ** (rows.length - 1) <= MOST_EXACT
  const chance = exact ? shareOfArrangements(rows, orders) : shareOfDraws(rows)
  if (answered.size >= MOST_ANSWERED) answered.clear()
  answered.set(key, chance)
  return chance
}

function shareOfArrangements(rows: number[][], orders: number[][]): number {
  const wanted = squaredSums(rows) - 1e-9
  const all = orders.length ** (rows.length - 1)
  let count = 0
  for (let code = 0; code < all; code += 1) {
    let rest = code
    const arranged = rows.map((row, place) => {
      if (place === 0) return row
      const order = orders[rest % orders.length]!
      rest = Math.floor(rest / orders.length)
      return order.map((from) => row[from]!)
    })
    if (squaredSums(arranged) >= wanted) count += 1
  }
  return count / all
}

/** The arrangement that was seen counts as one of them, so that the share is never nothing. */
function shareOfDraws(rows: number[][]): number {
  const wanted = squaredSums(rows) - 1e-9
  const random = seededRandom(SEED)
  const arranged = rows.map((row) => [...row])
  let count = 1
  for (let draw = 0; draw < DRAWS; draw += 1) {
    for (const row of arranged) shuffle(row, random)
    if (squaredSums(arranged) >= wanted) count += 1
  }
  return count / (DRAWS + 1)
}

function permutationsOf(size: number): number[][] | undefined {
  if (size > 7) return undefined
  if (size === 0) return [[]]
  return permutationsOf(size - 1)!.flatMap((order) =>
    Array.from({ length: size }, (_, place) => [...order.slice(0, place), size - 1, ...order.slice(place)]),
  )
}

function shuffle(row: number[], random: () => number): void {
  for (let place = row.length - 1; place > 0; place -= 1) {
    const other = Math.floor(random() * (place + 1))
    const kept = row[place]!
    row[place] = row[other]!
    row[other] = kept
  }
}
