import { tTwoSided } from '../chance'
import type { LevelPoint } from './levelFit'
import { slopeOf } from './seriesTests'

/** Does more of it make more: one question, asked of each group's own line. */
export interface SlopesTest {
  groups: number
  slope: number
  standardError: number
  df: number
  p: number
}

const FEWEST_GROUPS = 3

/**
 * The average of the groups' own slopes against none: t on one slope a group, so that groups whose lines differ are not taken for one.
 * @param points       a group's averages, one for each number
 * @param cellVariance no average's variance is smaller: the mark's own
 * @returns undefined where fewer than three groups have two different numbers
 * @example slopesTest([1, 2, 3].flatMap((g) => [0, 1].map((x) => ({ group: `g${g}`, x, y: g + x * (2 + g / 10) }))), 0)!.slope.toFixed(2) // => '2.20'
 */
export function slopesTest(points: LevelPoint[], cellVariance: number): SlopesTest | undefined {
  const byGroup = new Map<string, LevelPoint[]>()
  for (const point of points) byGroup.set(point.group, [...(byGroup.get(point.group) ?? []), point])
  const lines = [...byGroup.values()].flatMap((own) => slopeOf(own) ?? [])
  const groups = lines.length
  if (groups < FEWEST_GROUPS) return undefined
  const slope = lines.reduce((sum, line) => sum + line.slope, 0) / groups
  const spread = lines.reduce((sum, line) => sum + line.squares, 0) / groups
  const squares = lines.reduce((sum, line) => sum + (line.slope - slope) ** 2, 0)
  const variance = Math.max(squares / (groups - 1), cellVariance / spread)
  const standardError = Math.sqrt(variance / groups)
  const p = standardError === 0 ? (slope === 0 ? 1 : 0) : tTwoSided(slope / standardError, groups - 1)
  return { groups, slope, standardError, df: groups - 1, p }
}
