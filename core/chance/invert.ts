/**
 * The inverse of a matrix, by Gauss and Jordan with pivoting; what is inverted here is positive definite and at most a few dozen wide.
 * @example invert([[2, 0], [0, 4]]) // => [[0.5, 0], [0, 0.25]]
 */
export function invert(matrix: number[][]): number[][] {
  const size = matrix.length
  const work = matrix.map((row, i) => [...row, ...row.map((_, j) => (i === j ? 1 : 0))])
  for (let column = 0; column < size; column += 1) {
    let pivot = column
    for (let row = column + 1; row < size; row += 1) {
      if (Math.abs(work[row]![column]!) > Math.abs(work[pivot]![column]!)) pivot = row
    }
    ;[work[column], work[pivot]] = [work[pivot]!, work[column]!]
    const scale = work[column]![column]!
    work[column] = work[column]!.map((value) => value / scale)
    for (let row = 0; row < size; row += 1) {
      const factor = work[row]![column]!
      if (row !== column && factor !== 0) work[row] = work[row]!.map((value, j) => value - factor * work[column]![j]!)
    }
  }
  return work.map((row) => row.slice(size))
}
