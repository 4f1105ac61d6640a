import { quickselect } from 'simple-statistics'
import type { Point } from './shapes'

/**
 * The middle of the slopes between all pairs of points with different x (Theil, 1950; Sen, 1968): one odd reading hardly moves it.
 * @returns undefined where all x are the same
 * @example theilSen([{ x: 0, y: 0 }, { x: 1, y: 2 }, { x: 2, y: 100 }]) // => 50
 */
export function theilSen(points: Point[]): number | undefined {
  const slopes: number[] = []
  for (let i = 0; i < points.length; i += 1) {
    for (let j = i + 1; j < points.length; j += 1) {
      const run = points[j]!.x - points[i]!.x
      if (run !== 0) slopes.push((points[j]!.y - points[i]!.y) / run)
    }
  }
  return slopes.length === 0 ? undefined : middleOf(slopes)
}

/** The median of many values, found without sorting them all. */
function middleOf(values: number[]): number {
  const half = Math.floor(values.length / 2)
  quickselect(values, half)
  if (values.length % 2 === 1) return values[half]!
  let below = -Infinity
  for (let place = 0; place < half; place += 1) if (values[place]! > below) below = values[place]!
  return (below + values[half]!) / 2
}

/**
 * Kendall's tau-b: how far more x goes with more y, from -1 to 1, ties taken account of.
 * @returns undefined where x or y does not vary
 * @example kendallTauB([{ x: 1, y: 1 }, { x: 2, y: 3 }, { x: 3, y: 2 }]) // => 0.3333
 */
export function kendallTauB(points: Point[]): number | undefined {
  let [agreeing, tiedX, tiedY] = [0, 0, 0]
  for (let i = 0; i < points.length; i += 1) {
    for (let j = i + 1; j < points.length; j += 1) {
      const [run, rise] = [Math.sign(points[j]!.x - points[i]!.x), Math.sign(points[j]!.y - points[i]!.y)]
      agreeing += run * rise
      if (run === 0) tiedX += 1
      if (rise === 0) tiedY += 1
    }
  }
  const pairs = (points.length * (points.length - 1)) / 2
  const scale = Math.sqrt((pairs - tiedX) * (pairs - tiedY))
  return scale === 0 ? undefined : agreeing / scale
}
