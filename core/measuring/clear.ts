import { fLeaving, noncentralFAbove } from '../chance'

export interface ClearAsk {
  /** Expected result of each condition, same unit as the wobbles. */
  means: number[]
  /** Which conditions each group does, by place; one row where the class is one block. */
  shares: number[][]
  repeats: number
  /** Wobble of one reading. */
  sd: number
  /** How far one group's own thing differs from another's. */
  own: number
  /** The same thing comes again in every trial of a condition: one group alone can never be clear then. */
  sameThing: boolean
}

const CLEAR_BELOW = 0.05

/**
 * The chance that the class's evidence comes out clear with the plan as it is: the F test of condition on the means of cells, noncentral by
 * sum over groups of (mean - average of what the group does)^2 / (sd^2 / n + own^2). One block alone goes by its single readings.
 * @returns the chance, and the degrees of freedom that the design leaves
 * @example chanceOfClear({ means: [50, 55], shares: Array(7).fill([0, 1]), repeats: 3, sd: 5, own: 0, sameThing: false }).chance // => 0.77
 */
export function chanceOfClear({ means, shares, repeats, sd, own, sameThing }: ClearAsk): { chance: number; df: number } {
  const blocks = shares.filter((share) => share.length > 0)
  const alone = blocks.length === 1
  const rank = rankOf(blocks, means.length)
  const cells = blocks.reduce((sum, share) => sum + share.length, 0)
  const df = alone ? cells * (repeats - 1) : cells - blocks.length - rank
  if (rank < 1 || df < 1 || (alone && sameThing)) return { chance: 0, df: Math.max(0, df) }
  const variance = alone ? sd ** 2 / repeats : sd ** 2 / repeats + own ** 2
  const spread = blocks.reduce((sum, share) => {
    const middle = share.reduce((all, place) => all + means[place]!, 0) / share.length
    return sum + share.reduce((all, place) => all + (means[place]! - middle) ** 2, 0)
  }, 0)
  if (variance === 0) return { chance: spread > 0 ? 1 : 0, df }
  return { chance: noncentralFAbove(fLeaving(CLEAR_BELOW, rank, df), rank, df, spread / variance), df }
}

/** Conditions less the pieces that no chain of groups connects. */
function rankOf(blocks: number[][], conditions: number): number {
  const piece = Array.from({ length: conditions }, (_, place) => place)
  const done = new Set(blocks.flat())
  for (const share of blocks) {
    const joined = new Set(share.map((place) => piece[place]!))
    const name = Math.min(...joined)
    piece.forEach((own, place) => (piece[place] = joined.has(own) ? name : own))
  }
  return done.size - new Set([...done].map((place) => piece[place])).size
}
