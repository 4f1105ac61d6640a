import { tLeaving } from '../chance'
import type { Trend } from './trend'

export interface Foretold {
  /** The class's evened average there. */
  value: number
  /** A further average of one of these groups lies so near to that group's own level on the line, 95 times in 100. */
  reach: number
  /** The average of another group lies between these 95 times in 100; undefined where there is one group only. */
  another: { low: number; high: number } | undefined
  /** Nothing was tested that far out. */
  outside: boolean
}

const SURE = 0.05
const STEPS = 200

/**
 * What a group would find at another number, by the line or curve that is said. For one of these groups its own level is known; for another group the
 * levels' variance is added, with the freedom of the groups.
 * @example foretell(lineOf(20, 40, 60), 50).outside // => false
 */
export function foretell(trend: Trend, x: number): Foretold {
  const { taken, df, groups, from, to } = trend
  const variance = varianceOf(trend)
  const own = (1 / perGroup(trend) + taken.reach(x)) * variance
  const value = taken.at(x)
  const reach = tLeaving(SURE, Math.max(1, df)) * Math.sqrt(variance + own)
  return { value, reach, another: groups > 1 ? anotherGroup(trend, x) : undefined, outside: x < from || x > to }
}

export interface NumberFor {
  /** The number that gives the wanted result on the line; undefined where none does within what was tested. */
  x: number | undefined
  /** From where to where it may lie, 95 times in 100; undefined where the readings do not say. */
  low: number | undefined
  high: number | undefined
  /** Numbers at which another group's result stays above (below) the wanted one 95 times in 100: the nearest of them. */
  safelyAbove: number | undefined
  safelyBelow: number | undefined
  outside: boolean
  /** Of counts the last that still reaches the wanted result on the line, and the first that does not; undefined where numbers lie between. */
  whole: { reaches: number; misses: number } | undefined
}

/**
 * Backwards: which number gives a wanted result. On a line with Fieller's interval (1954), on a curve by bisection within the tested range; and with a safety margin the
 * number at which another group's interval stays on the safe side.
 * @example numberFor(lineOf(20, 40, 60), 25).x // => 25
 */
export function numberFor(trend: Trend, wanted: number): NumberFor {
  const { taken, from, to } = trend
  const line = taken.c2 === 0
  const x = line ? (taken.c1 === 0 ? undefined : from + (wanted - taken.at(from)) / taken.c1) : crossing(taken.at, wanted, trend)
  const [low, high] = x === undefined ? [] : line ? fieller(trend, wanted) : crossings(trend, wanted, x)
  const safe = (side: 1 | -1) =>
    trend.groups < 2 || x === undefined
      ? undefined
      : nearestTo(x, trend, (at) => {
          const { low: least, high: most } = anotherGroup(trend, at)
          return side > 0 ? least >= wanted : most <= wanted
        })
  const outside = x !== undefined && (x < from || x > to)
  return { x, low, high, safelyAbove: safe(1), safelyBelow: safe(-1), outside, whole: wholeAround(trend, wanted, x) }
}

/** The counts on both sides of where the wanted result lies. */
function wholeAround({ taken, counts }: Trend, wanted: number, x: number | undefined): NumberFor['whole'] {
  if (!counts || x === undefined) return undefined
  const below = Math.floor(x + 1e-9)
  const reaches = (count: number) => taken.at(count) >= wanted - 1e-9
  if (taken.at(below + 1) < taken.at(below)) return { reaches: below, misses: below + 1 }
  return reaches(below) ? { reaches: below, misses: below - 1 } : { reaches: below + 1, misses: below }
}

/** What the line leaves: never less than the numbers as kinds leave, so that a poor line does not look sure. */
function varianceOf({ taken, meanSquare }: Trend): number {
  return Math.max(meanSquare, taken.df > 0 ? taken.residualSum / taken.df : 0)
}

function perGroup({ taken, groups }: Trend): number {
  return (taken.df + groups + (taken.c2 === 0 ? 1 : 2)) / groups
}

function anotherGroup(trend: Trend, x: number): { low: number; high: number } {
  const { taken, groups } = trend
  const levels = taken.levels.reduce((sum, level) => sum + (level - taken.level) ** 2, 0) / (groups - 1)
  const variance = levels * (1 + 1 / groups) + varianceOf(trend) * (1 + taken.reach(x))
  const reach = tLeaving(SURE, groups - 1) * Math.sqrt(variance)
  return { low: taken.at(x) - reach, high: taken.at(x) + reach }
}

/** How far the class's own line may lie off at x. */
function lineReach(trend: Trend, x: number): number {
  const { taken, df, groups } = trend
  const points = perGroup(trend) * groups
  return tLeaving(SURE, Math.max(1, df)) * Math.sqrt(varianceOf(trend) * (1 / points + taken.reach(x)))
}

/** All x at which the line's own interval holds the wanted result; none where it holds it for every x. */
function fieller(trend: Trend, wanted: number): [number, number] | [] {
  const { taken } = trend
  const t = tLeaving(SURE, Math.max(1, trend.df))
  const middle = centreOf(trend)
  const spread = 1 / taken.reach(middle + 1)
  const variance = varianceOf(trend)
  // (d - c1 u)^2 = t^2 s^2 (1 / n + u^2 / spread), with u counted from the middle.
  const d = wanted - taken.at(middle)
  const a = taken.c1 ** 2 - (t ** 2 * variance) / spread
  const c = d ** 2 - (t ** 2 * variance) / (perGroup(trend) * trend.groups)
  if (a <= 0) return []
  const root = Math.sqrt(Math.max(0, (taken.c1 * d) ** 2 - a * c))
  return [middle + (taken.c1 * d - root) / a, middle + (taken.c1 * d + root) / a]
}

/** The number at which the line is least in doubt. */
function centreOf({ taken, from, to }: Trend): number {
  const [at, left, right] = [(from + to) / 2, taken.reach(from), taken.reach(to)]
  const curved = (left + right - 2 * taken.reach(at)) / ((to - from) / 2) ** 2
  return curved === 0 ? at : at - (right - left) / (to - from) / curved
}

/** Where the curve comes to the wanted result, the first time within the tested range. */
function crossing(at: (x: number) => number, wanted: number, { from, to }: Trend): number | undefined {
  let before = from
  for (let step = 1; step <= STEPS; step += 1) {
    const x = from + ((to - from) * step) / STEPS
    if ((at(before) - wanted) * (at(x) - wanted) <= 0) return bisect((one) => at(one) - wanted, before, x)
    before = x
  }
  return undefined
}

function crossings(trend: Trend, wanted: number, x: number): [number | undefined, number | undefined] {
  const held = (at: number) => Math.abs(trend.taken.at(at) - wanted) <= lineReach(trend, at)
  const width = (trend.to - trend.from) / STEPS
  let [low, high] = [x, x]
  while (low - width >= trend.from && held(low - width)) low -= width
  while (high + width <= trend.to && held(high + width)) high += width
  return [low - width < trend.from ? undefined : low, high + width > trend.to ? undefined : high]
}

function bisect(f: (x: number) => number, low: number, high: number): number {
  let [left, right] = [low, high]
  const sign = Math.sign(f(left))
  for (let step = 0; step < 60; step += 1) {
    const middle = (left + right) / 2
    if (Math.sign(f(middle)) === sign) left = middle
    else right = middle
  }
  return (left + right) / 2
}

/** Of the tested range, the number nearest to x that is safe. */
function nearestTo(x: number, { from, to, counts }: Trend, isSafe: (x: number) => boolean): number | undefined {
  const steps = counts ? Math.floor(to - from) : STEPS
  const all = Array.from({ length: steps + 1 }, (_, step) => from + ((to - from) * step) / steps).filter(isSafe)
  return all.reduce<number | undefined>(
    (best, one) => (best === undefined || Math.abs(one - x) < Math.abs(best - x) ? one : best),
    undefined,
  )
}
