import { holm } from './model'
import { gradeOfP, noSurerThan, type Grade } from './grade'

/** One condition and the next in the order, told apart by the blocks (groups, races) that put one of them first. */
export interface Neighbours {
  more: string
  less: string
  /** Blocks that put `more` first, that put `less` first, and that had both level. */
  wins: number
  losses: number
  level: number
  p: number
  pHolm: number
  grade: Grade
  /** So many further blocks that put `more` first, at the fewest, would tell these two apart; undefined where a dozen would not. */
  further: number | undefined
}

/** The smallest p that so many blocks can reach, however well they agree. */
export interface Reach {
  blocks: number
  whole: number
  neighbours: number
  /** The fewest blocks with which both could come out clear. */
  needed: number
}

const CLEAR_BELOW = 0.05

/**
 * Exact sign test, two-sided: as many wins or more on one side by luck (Arbuthnot, 1710; Conover, "Practical Nonparametric Statistics", 3.4).
 * @example signTest(6, 0) // => 0.03125
 */
export function signTest(wins: number, losses: number): number {
  const all = wins + losses
  if (all === 0) return 1
  let [chance, term] = [0, 0.5 ** all]
  for (let count = 0; count <= Math.min(wins, losses); count += 1) {
    chance += term
    term *= (all - count) / (count + 1)
  }
  return Math.min(1, 2 * chance)
}

/**
 * Every condition and the next one, by sign tests over the blocks with Holm's correction, none surer than the whole.
 * @param order  conditions, the first one first
 * @param blocks ranks by condition, a smaller one comes first
 * @example neighboursOf(['a', 'b'], [new Map([['a', 1], ['b', 2]])], 'clear')[0].wins // => 1
 */
export function neighboursOf(order: string[], blocks: Map<string, number>[], whole: Grade): Neighbours[] {
  const counted = order.slice(1).map((less, place) => {
    const more = order[place]!
    const signs = blocks.flatMap((ranks) => {
      const [first, second] = [ranks.get(more), ranks.get(less)]
      return first === undefined || second === undefined ? [] : [Math.sign(second - first)]
    })
    const count = (sign: number) => signs.filter((one) => one === sign).length
    return { more, less, wins: count(1), losses: count(-1), level: count(0) }
  })
  const chances = counted.map(({ wins, losses }) => signTest(wins, losses))
  const corrected = holm(chances)
  return counted.map((one, place) => {
    const own = one.wins > one.losses ? gradeOfP(corrected[place]!) : 'cannot-tell'
    const further = own === 'clear' ? 0 : furtherBlocks(one, counted.length)
    return { ...one, p: chances[place]!, pHolm: corrected[place]!, grade: noSurerThan(whole, own), further }
  })
}

const MOST_FURTHER = 12

/**
 * How many further blocks, all for the same one, bring a sign test below five in a hundred among so many pairs.
 * @example furtherBlocks({ wins: 4, losses: 0 }, 1) // => 2
 */
export function furtherBlocks({ wins, losses }: { wins: number; losses: number }, pairs: number): number | undefined {
  for (let further = 1; further <= MOST_FURTHER; further += 1)
    if (signTest(wins + further, losses) * pairs <= CLEAR_BELOW) return further
  return undefined
}

/**
 * What so many orders of so many things can show at best: all alike come up by luck in (1 / k!)^(b - 1), a pair of neighbours in 2^(1 - b) times
 * the number of such pairs.
 * @example reachOf(5, 3).needed // => 7
 */
export function reachOf(blocks: number, conditions: number): Reach {
  let orders = 1
  for (let thing = 2; thing <= conditions; thing += 1) orders *= thing
  const whole = (count: number) => Math.min(1, (1 / orders) ** (count - 1))
  const neighbours = (count: number) => Math.min(1, (conditions - 1) * 2 * 0.5 ** count)
  let needed = 1
  while (whole(needed) > CLEAR_BELOW || neighbours(needed) > CLEAR_BELOW) needed += 1
  return { blocks, whole: whole(blocks), neighbours: neighbours(blocks), needed }
}
