import { withoutNoise, type ResultUnit } from '../quantity'

export interface Axis {
  from: number
  to: number
  step: number
}

const MOST_STEPS = 8
const SMALLEST_SPAN = 1e-9

/**
 * An axis that covers the values in steps of 1, 2 or 5 times a power of ten, at most eight of them.
 * @param values    what has to fit on it
 * @param withZero  bars stand on zero
 * @param unit      what they are in: nobody counts half of a thing
 * @example axisFor([14, 62], true) // => { from: 0, to: 70, step: 10 }
 */
export function axisFor(values: number[], withZero: boolean, unit?: ResultUnit): Axis {
  const known = values.length === 0 ? [0, 1] : values
  const low = Math.min(...known, ...(withZero ? [0] : []))
  const high = Math.max(...known, ...(withZero ? [0] : []))
  const span = [high - low, Math.abs(high)].find((each) => each > SMALLEST_SPAN) ?? 1
  const step = Math.max(leastStep(unit), niceStep(span / MOST_STEPS))
  const from = withoutNoise(Math.floor(withoutNoise(low / step)) * step)
  const to = withoutNoise(Math.ceil(withoutNoise(high / step)) * step)
  return { from, to: to === from ? withoutNoise(to + step) : to, step }
}

/** The smallest step that an axis in this unit can have: counts are whole. */
export function leastStep(unit: ResultUnit | undefined): number {
  return unit === 'count' ? 1 : 0
}

/** The smallest of 1, 2 or 5 times a power of ten that is not below the wanted one. `niceStep(7.75) // 10` */
export function niceStep(wanted: number): number {
  const power = 10 ** Math.floor(Math.log10(wanted))
  const found = [1, 2, 5, 10].find((each) => withoutNoise(each * power) >= withoutNoise(wanted)) ?? 10
  return withoutNoise(found * power)
}

/** The numbers that stand at an axis. `axisTicks({ from: 0, to: 30, step: 10 }) // [0, 10, 20, 30]` */
export function axisTicks({ from, to, step }: Axis): number[] {
  return Array.from({ length: Math.round((to - from) / step) + 1 }, (_, place) => withoutNoise(from + place * step))
}
