import { drawNormal, type Random } from '../chance'
import { activeConditions, keptFactors, type Plan } from '../lesson'
import { withoutNoise } from '../quantity'

/** Two set-ups beside each other: what is changed on purpose, and what else differs. */
export interface FairPuzzle {
  conditions: [string, string]
  factors: { id: string; name: string; values: [string, string]; differs: boolean }[]
}

const OTHERWISE = ['twice as much', 'another one', 'for longer', 'from somewhere else']
const MOST_FACTORS = 5

/**
 * Is it fair? Two conditions of the plan with everything that should be the same; none, one or two of those things secretly differ.
 * @returns undefined while the plan has not two conditions and something to keep the same
 * @example drawFair(soakUpPlan(), seededRandom(2))!.factors.length // => 4
 */
export function drawFair(plan: Plan, random: Random): FairPuzzle | undefined {
  const conditions = activeConditions(plan)
  const kept = keptFactors(plan).slice(0, MOST_FACTORS)
  if (conditions.length < 2 || kept.length === 0) return undefined
  const first = Math.floor(random() * conditions.length)
  const second = (first + 1 + Math.floor(random() * (conditions.length - 1))) % conditions.length
  const count = Math.min(kept.length, Math.floor(random() * 3))
  const differing = new Set(shuffled(kept, random).slice(0, count))
  return {
    conditions: [conditions[first]!.id, conditions[second]!.id],
    factors: kept.map((factor) => {
      const same = factor.how || 'the same'
      const other = differing.has(factor) ? OTHERWISE[Math.floor(random() * OTHERWISE.length)]! : same
      return { id: factor.id, name: factor.name, values: [same, other], differs: differing.has(factor) }
    }),
  }
}

/**
 * Was exactly what differs pointed out?
 * @example judgeFair({ conditions: ['a', 'b'], factors: [{ id: 'w', name: 'w', values: ['1', '2'], differs: true }] }, ['w']) // => { right: true, missed: [], wrongly: [] }
 */
export function judgeFair({ factors }: FairPuzzle, chosen: string[]): { right: boolean; missed: string[]; wrongly: string[] } {
  const missed = factors.filter(({ id, differs }) => differs && !chosen.includes(id)).map(({ name }) => name)
  const wrongly = factors.filter(({ id, differs }) => !differs && chosen.includes(id)).map(({ name }) => name)
  return { right: missed.length === 0 && wrongly.length === 0, missed, wrongly }
}

/** Two heaps of dots: is there a difference behind them, or only wobble? */
export interface WobblePuzzle {
  heaps: [number[], number[]]
  /** In wobbles; 0 where both heaps come out of one hat. */
  difference: number
}

const DIFFERENCES = [0, 0, 1.2, 2.5]

/**
 * Real or wobble? Two heaps of four to eight numbers; half of the time they come out of one hat.
 * @example drawWobble(seededRandom(4)).heaps[0].length // => 5
 */
export function drawWobble(random: Random): WobblePuzzle {
  const difference = DIFFERENCES[Math.floor(random() * DIFFERENCES.length)]!
  const count = 4 + Math.floor(random() * 5)
  const heap = (middle: number) =>
    Array.from({ length: count }, () => withoutNoise(Math.round(500 + 60 * (middle + drawNormal(random))) / 10))
  return { heaps: [heap(0), heap(difference)], difference }
}

/**
 * Does a bet on a difference, or on none, miss what is behind the heaps?
 * @example isFooledBy({ difference: 0 }, true) // => true
 */
export function isFooledBy({ difference }: Pick<WobblePuzzle, 'difference'>, saidReal: boolean): boolean {
  return saidReal !== difference > 0
}

/** Things that move, to be counted: each goes its own way through a field of 100 x 60. */
export interface Moving {
  x: number
  y: number
  /** Per second. */
  speedX: number
  speedY: number
}

const MOST_MOVING = 24
const FEWEST_MOVING = 6

/**
 * Count what moves: six to twenty-four things that wander about.
 * @example drawMoving(seededRandom(1)).length >= 6 // => true
 */
export function drawMoving(random: Random): Moving[] {
  const count = FEWEST_MOVING + Math.floor(random() * (MOST_MOVING - FEWEST_MOVING + 1))
  return Array.from({ length: count }, () => ({
    x: 5 + 90 * random(),
    y: 5 + 50 * random(),
    speedX: (random() - 0.5) * 24,
    speedY: (random() - 0.5) * 24,
  }))
}

/**
 * Where such a thing is after some seconds: it turns back at the edge.
 * @example movedTo({ x: 90, y: 30, speedX: 10, speedY: 0 }, 2) // => { x: 90, y: 30 }
 */
export function movedTo({ x, y, speedX, speedY }: Moving, seconds: number): { x: number; y: number } {
  return { x: folded(x + speedX * seconds, 100), y: folded(y + speedY * seconds, 60) }
}

function folded(value: number, size: number): number {
  const lap = ((value % (2 * size)) + 2 * size) % (2 * size)
  return lap > size ? 2 * size - lap : lap
}

function shuffled<One>(all: One[], random: Random): One[] {
  const keyed = all.map((one) => [random(), one] as const)
  return keyed.sort(([a], [b]) => a - b).map(([, one]) => one)
}
