/** A result beside the number it was measured at. */
export interface LevelPoint {
  group: string
  x: number
  y: number
}

/** A line or a curve through results, each group at its own level. */
export interface LevelFit {
  /** For each further unit of x; and of x squared, 0 for a line. */
  c1: number
  c2: number
  /** The groups' levels, and their middle. */
  levels: number[]
  level: number
  residualSum: number
  /** Points less groups and coefficients. */
  df: number
  /** The evened average at x. */
  at: (x: number) => number
  /** How far the coefficients' own doubt reaches at x, counted from the middle of the numbers, in mean squares. */
  reach: (x: number) => number
}

/**
 * Least squares of y on x (and x squared) with a level for each group: the groups' own means are taken out first.
 * @param power 1 for a line, 2 for a curve
 * @example fitLevel([1, 2, 3].map((x) => ({ group: 'A', x, y: 2 * x })), 1).c1 // => 2
 */
export function fitLevel(points: LevelPoint[], power: 1 | 2): LevelFit {
  const middle = points.reduce((sum, { x }) => sum + x, 0) / points.length
  const size = Math.max(...points.map(({ x }) => Math.abs(x - middle))) || 1
  // In numbers about one, so that squares of large ones lose no digits.
  const scaled = points.map(({ group, x, y }) => ({ group, y, u: (x - middle) / size }))
  const groups = [...new Set(scaled.map(({ group }) => group))].map((group) => scaled.filter((one) => one.group === group))
  const columns: ((u: number) => number)[] = power === 1 ? [(u) => u] : [(u) => u, (u) => u * u]
  const averages = groups.map((own) => ({
    columns: columns.map((column) => mean(own.map(({ u }) => column(u)))),
    y: mean(own.map(({ y }) => y)),
  }))
  const rows = groups.flatMap((own, at) =>
    own.map(({ u, y }) => ({ v: columns.map((column, i) => column(u) - averages[at]!.columns[i]!), y: y - averages[at]!.y })),
  )
  const sum = (of: (row: (typeof rows)[number]) => number) => rows.reduce((all, row) => all + of(row), 0)
  const [a, b, d] = [sum(({ v }) => v[0]! ** 2), sum(({ v }) => v[0]! * (v[1] ?? 0)), sum(({ v }) => (v[1] ?? 0) ** 2)]
  const [p, q] = [sum(({ v, y }) => v[0]! * y), sum(({ v, y }) => (v[1] ?? 0) * y)]
  const determinant = power === 1 ? a : a * d - b * b
  const [k1, k2] = power === 1 ? [p / a, 0] : [(p * d - q * b) / determinant, (q * a - p * b) / determinant]
  const levels = averages.map(({ columns: own, y }) => y - k1 * own[0]! - k2 * (own[1] ?? 0))
  const level = mean(levels)
  const centre = columns.map((_, i) => mean(averages.map(({ columns: own }) => own[i]!)))
  return {
    c1: k1 / size - (2 * k2 * middle) / size ** 2,
    c2: k2 / size ** 2,
    levels,
    level,
    residualSum: sum(({ v, y }) => (y - k1 * v[0]! - k2 * (v[1] ?? 0)) ** 2),
    df: points.length - groups.length - power,
    at: (x) => level + k1 * ((x - middle) / size) + k2 * ((x - middle) / size) ** 2,
    reach: (x) => {
      const u = (x - middle) / size
      const [f, g] = [u - centre[0]!, power === 1 ? 0 : u * u - centre[1]!]
      return power === 1 ? (f * f) / a : (f * f * d - 2 * f * g * b + g * g * a) / determinant
    },
  }
}

function mean(values: number[]): number {
  return values.reduce((sum, value) => sum + value, 0) / values.length
}
