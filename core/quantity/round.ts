import { withoutNoise } from './units'

/**
 * Nearest multiple of an instrument's mark, halves away from zero, free of binary noise.
 * @param value      any unit
 * @param resolution the smallest mark, same unit, above zero
 * @example roundToMark(2.675, 0.01) // => 2.68
 */
export function roundToMark(value: number, resolution: number): number {
  const marks = Math.round(withoutNoise(Math.abs(value) / resolution))
  const rounded = withoutNoise(marks * resolution)
  return rounded === 0 ? 0 : Math.sign(value) * rounded
}

/** Digits behind the point that a mark needs. `decimalsOf(0.25) // 2` */
export function decimalsOf(resolution: number): number {
  const [, behind = ''] = withoutNoise(resolution).toFixed(10).replace(/0+$/, '').split('.')
  return Math.min(behind.length, 6)
}

/** Is the value a whole number of marks? `onTheMark(5.25, 0.5) // false` */
export function onTheMark(value: number, resolution: number): boolean {
  const marks = value / resolution
  return Math.abs(marks - Math.round(marks)) < 1e-6
}
