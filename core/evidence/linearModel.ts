/** One value of a group, with what a model says of it: a number for each of its columns. */
export interface Row {
  group: string
  value: number
  columns: number[]
}

export interface LinearFit {
  /** What the model leaves, squared and added up. */
  residualSum: number
  /** Values less groups less independent columns. */
  df: number
  /** By column; 0 for a column that says nothing new. */
  coefficients: number[]
  /** (X'X)^-1 after the groups' levels are out; 0 in rows and columns that say nothing new. */
  covariance: number[][]
}

const NOTHING_NEW = 1e-9

/**
 * Least squares of a value on columns of numbers, each group with a level of its own. The groups' means are taken out first (Frisch and Waugh, 1933), then
 * the normal equations are solved by sweeping (Goodnight, 1979); a column that follows from those before it is passed over.
 * @example fitColumns([[1, 3], [2, 5], [3, 7]].map(([x, value]) => ({ group: 'A', value: value!, columns: [x!] }))).coefficients // => [2]
 */
export function fitColumns(rows: Row[]): LinearFit {
  const width = rows[0]?.columns.length ?? 0
  const centred = withoutLevels(rows)
  const sweepable = Array.from({ length: width + 1 }, (_, i) =>
    Array.from({ length: width + 1 }, (_, j) => centred.reduce((sum, row) => sum + row[i]! * row[j]!, 0)),
  )
  const sizes = sweepable.map((row, place) => row[place]!)
  const swept: boolean[] = []
  for (let column = 0; column < width; column += 1) {
    swept[column] = sweepable[column]![column]! > NOTHING_NEW * Math.max(1e-300, sizes[column]!)
    if (swept[column]) sweep(sweepable, column)
  }
  const groups = new Set(rows.map(({ group }) => group)).size
  const at = (i: number, j: number) => (swept[i] && swept[j] ? sweepable[i]![j]! : 0)
  return {
    residualSum: Math.max(0, sweepable[width]![width]!),
    df: rows.length - groups - swept.filter(Boolean).length,
    coefficients: Array.from({ length: width }, (_, column) => (swept[column] ? sweepable[column]![width]! : 0)),
    covariance: Array.from({ length: width }, (_, i) => Array.from({ length: width }, (_, j) => at(i, j))),
  }
}

/** Columns and value of each row, less the mean of its group. */
function withoutLevels(rows: Row[]): number[][] {
  const sums = new Map<string, { count: number; sum: number[] }>()
  const whole = rows.map(({ group, columns, value }) => ({ group, row: [...columns, value] }))
  for (const { group, row } of whole) {
    const own = sums.get(group) ?? { count: 0, sum: row.map(() => 0) }
    sums.set(group, { count: own.count + 1, sum: own.sum.map((sum, place) => sum + row[place]!) })
  }
  return whole.map(({ group, row }) => {
    const { count, sum } = sums.get(group)!
    return row.map((one, place) => one - sum[place]! / count)
  })
}

function sweep(matrix: number[][], pivot: number): void {
  const d = matrix[pivot]![pivot]!
  const row = matrix[pivot]!.map((one) => one / d)
  matrix.forEach((own, i) => {
    if (i === pivot) return
    const factor = own[pivot]!
    own.forEach((_, j) => (own[j] = j === pivot ? -factor / d : own[j]! - factor * row[j]!))
  })
  matrix[pivot] = row.map((one, j) => (j === pivot ? 1 / d : one))
}
