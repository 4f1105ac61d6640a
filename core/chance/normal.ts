/** Density of the standard normal distribution. `normalDensity(0) // 0.398942` */
export function normalDensity(z: number): number {
  return Math.exp(-(z * z) / 2) / Math.sqrt(2 * Math.PI)
}

/**
 * Chance that a standard normal value lies below z, to 15 digits.
 * Hart's algorithm 5666 as given by West, "Better approximations to cumulative normal functions" (2005).
 * @example normalBelow(1.96) // => 0.9750021
 */
export function normalBelow(z: number): number {
  const size = Math.abs(z)
  if (size > 37) return z > 0 ? 1 : 0
  const above = Math.exp((-size * size) / 2) * (size < 7.07106781186547 ? nearTail(size) : farTail(size))
  return z > 0 ? 1 - above : above
}

const TOP = [
  0.0352624965998911, 0.700383064443688, 6.37396220353165, 33.912866078383, 112.079291497871, 221.213596169931, 220.206867912376,
]
const BOTTOM = [
  0.0883883476483184, 1.75566716318264, 16.064177579207, 86.7807322029461, 296.564248779674, 637.333633378831, 793.826512519948,
  440.413735824752,
]

function nearTail(size: number): number {
  return polynomial(TOP, size) / polynomial(BOTTOM, size)
}

function farTail(size: number): number {
  const fraction = [4, 3, 2, 1].reduce((below, step) => size + step / below, size + 0.65)
  return 1 / (fraction * 2.506628274631)
}

function polynomial(coefficients: number[], x: number): number {
  return coefficients.reduce((sum, coefficient) => sum * x + coefficient, 0)
}
