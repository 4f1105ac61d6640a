import { onTheMark, roundToMark } from './round'
import type { ResultUnit } from './units'
import { withUnit } from './write'

/** Units whose scales are divided into halves, quarters and eighths, and whose numbers are said so. */
const DIVIDED: ResultUnit[] = ['in', 'ft', 'cup', 'tsp', 'tbsp', 'pint', 'fl-oz', 'oz', 'lb']
const FINEST = 32

/**
 * A number of marks of a scale that is divided into halves, quarters or eighths, as people say it.
 * @returns undefined where the scale is divided otherwise, or the value lies on no mark
 * @example writeFraction(17.5, 'in', 0.25) // => '17 1/2\u202fin'
 */
export function writeFraction(value: number, unit: ResultUnit, mark: number): string | undefined {
  const said = sayFraction(value, unit, mark)
  return said === undefined ? undefined : withUnit(said, unit)
}

/** The same without its unit. `sayFraction(17.5, 'in', 0.25) // '17 1/2'` */
export function sayFraction(value: number, unit: ResultUnit, mark: number): string | undefined {
  const parts = Math.round(1 / mark)
  const isDivided =
    DIVIDED.includes(unit) && parts >= 2 && parts <= FINEST && Math.abs(parts * mark - 1) < 1e-9 && (parts & (parts - 1)) === 0
  if (!isDivided || !onTheMark(value, mark)) return undefined
  const size = Math.abs(roundToMark(value, mark))
  const whole = Math.floor(size + 1e-9)
  let [top, bottom] = [Math.round((size - whole) * parts), parts]
  while (top > 0 && top % 2 === 0) [top, bottom] = [top / 2, bottom / 2]
  const said = top === 0 ? String(whole) : whole === 0 ? `${top}/${bottom}` : `${whole} ${top}/${bottom}`
  return `${value < 0 && size > 0 ? '−' : ''}${said}`
}
