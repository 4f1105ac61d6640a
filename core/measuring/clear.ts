import { fLeaving, invert, noncentralFAbove } from '../chance'

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
  const whole = noncentralFAbove(fLeaving(CLEAR_BELOW, rank, df), rank, df, spread / variance)
  const complete = blocks.filter((share) => share.length === means.length).length
  if (means.length < 3 || (!alone && complete >= WHOLE_SHARE * blocks.length)) return { chance: whole, df }
  // What nothing connects cannot be told apart in a pair.
  if (rank < means.length - 1) return { chance: 0, df }
  return { chance: Math.min(whole, chanceOfAPair({ means, blocks, variance, ...freedomOfPair(alone, repeats, df) })), df }
}

/** A pair of one block goes by its own readings: by Welch's freedom where there are enough of them, else by the larger of two variances. */
function freedomOfPair(alone: boolean, repeats: number, df: number): { df: number; larger: number } {
  if (!alone) return { df, larger: 1 }
  return repeats < WELCH_FROM ? { df, larger: 1 + 1 / (2 * repeats) } : { df: 2 * (repeats - 1), larger: 1 }
}

/** Where fewer groups did everything, or the class is one block, "clear" needs a pair that is clear, too. */
const WHOLE_SHARE = 0.6
/** From so many readings of each on, a pair of one block goes by its own variance. */
const WELCH_FROM = 5

/** The chance that the widest pair is told apart under Holm over all pairs, on what such blocks know of it. */
function chanceOfAPair({
  means,
  blocks,
  variance,
  df,
  larger,
}: {
  means: number[]
  blocks: number[][]
  variance: number
  df: number
  larger: number
}): number {
  const [low, high] = [means.indexOf(Math.min(...means)), means.indexOf(Math.max(...means))]
  const pairs = (means.length * (means.length - 1)) / 2
  const known = variance * larger * varianceOfPair(blocks, means.length, low, high)
  return noncentralFAbove(fLeaving(CLEAR_BELOW / pairs, 1, df), 1, df, (means[high]! - means[low]!) ** 2 / known)
}

/** How much a difference of two conditions varies, in the variance of one cell: least squares on condition and block. */
function varianceOfPair(blocks: number[][], conditions: number, one: number, other: number): number {
  const information = Array.from({ length: conditions }, () => Array.from({ length: conditions }, () => 1 / conditions))
  for (const share of blocks)
    for (const row of share) for (const column of share) information[row]![column]! += (row === column ? 1 : 0) - 1 / share.length
  const known = invert(information)
  return known[one]![one]! + known[other]![other]! - 2 * known[one]![other]!
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
