/** A polynomial fitted by least squares. */
export interface PowerFit {
  /** Constant first. */
  coefficients: number[]
  residualSum: number
  /** Readings less coefficients. */
  df: number
  /** Value of the line at x. */
  at: (x: number) => number
  /** How far one reading's share reaches at x: h in var(prediction) = s2 (1 + h). */
  leverage: (x: number) => number
}

/**
 * Least squares on powers of x up to the given one. The columns are made orthogonal over the points first (Forsythe, 1957), so
 * that large numbers far from zero lose no digits.
 * @param power 0 for a level, 1 for a line, 2 for a bend; fewer where there are not enough different x
 * @example fitPowers([{ x: 1, y: 2 }, { x: 2, y: 4 }, { x: 3, y: 6 }], 1).coefficients // => [0, 2]
 */
export function fitPowers(points: { x: number; y: number }[], power: number): PowerFit {
  const xs = points.map(({ x }) => x)
  const middle = xs.reduce((sum, x) => sum + x, 0) / xs.length
  const reach = Math.max(...xs.map((x) => Math.abs(x - middle))) || 1
  const scaled = (x: number) => (x - middle) / reach
  // basis[k] is a polynomial in the scaled x, constant first.
  const basis: number[][] = [[1]]
  const weights: number[] = [points.length]
  const effects = [points.reduce((sum, { y }) => sum + y, 0) / points.length]
  for (let degree = 1; degree <= power; degree += 1) {
    const next = [0, ...basis[degree - 1]!]
    for (let lower = 0; lower < degree; lower += 1) {
      const share = xs.reduce((sum, x) => sum + value(next, scaled(x)) * value(basis[lower]!, scaled(x)), 0) / weights[lower]!
      basis[lower]!.forEach((coefficient, place) => (next[place]! -= share * coefficient))
    }
    const weight = xs.reduce((sum, x) => sum + value(next, scaled(x)) ** 2, 0)
    if (weight < 1e-9 * points.length) break
    basis.push(next)
    weights.push(weight)
    effects.push(points.reduce((sum, { x, y }) => sum + y * value(next, scaled(x)), 0) / weight)
  }
  const at = (x: number) => effects.reduce((sum, effect, degree) => sum + effect * value(basis[degree]!, scaled(x)), 0)
  return {
    coefficients: inPlainPowers(basis, effects, middle, reach),
    residualSum: points.reduce((sum, { x, y }) => sum + (y - at(x)) ** 2, 0),
    df: points.length - basis.length,
    at,
    leverage: (x) => basis.reduce((sum, one, degree) => sum + value(one, scaled(x)) ** 2 / weights[degree]!, 0),
  }
}

function value(polynomial: number[], x: number): number {
  return polynomial.reduceRight((sum, coefficient) => sum * x + coefficient, 0)
}

/** The same polynomial in powers of x itself. */
function inPlainPowers(basis: number[][], effects: number[], middle: number, reach: number): number[] {
  const inScaled = basis
    .at(-1)!
    .map((_, place) => effects.reduce((sum, effect, degree) => sum + effect * (basis[degree]![place] ?? 0), 0))
  // Horner's rule on polynomials: multiply by (x - middle) / reach, add the next coefficient.
  return inScaled.reduceRight<number[]>(
    (sum, coefficient) => {
      const times = [...sum.map((one) => (-one * middle) / reach), 0]
      sum.forEach((one, place) => (times[place + 1]! += one / reach))
      times[0]! += coefficient
      return times.slice(0, basis.length)
    },
    basis.map(() => 0),
  )
}
