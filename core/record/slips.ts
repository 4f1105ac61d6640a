import { convert, onTheMark, unitOf, withoutNoise, type UnitCode } from '../quantity'

const SLIP_SDS = 4
const SLIP_FITS_WITHIN = 2
/** Further than so many sds from its fellows, a number is odd. */
export const ODD_SDS = 3.5

/** `middle` is where its fellows lie; null for whoever may not see them. */
export type Slip =
  | { code: 'slip-unit'; suggested: number; unit: UnitCode; middle: number | null }
  | { code: 'slip-point'; suggested: number; factor: number; middle: number | null }
  | { code: 'slip-digits'; suggested: number; middle: number | null }
  | { code: 'slip-swapped'; place: string; middle: number | null }
  | { code: 'slip-empty'; suggested: number; empty: number; middle: number | null }

export type Doubt =
  | Slip
  | { code: 'odd'; middle: number | null; sds: number; side: 'above' | 'below' }
  | { code: 'too-fine'; resolution: number }
  | { code: 'impossible' }
  | { code: 'beyond'; most: number }

/** Was it written down wrongly, rather than odd in itself? `isSlip({ code: 'impossible' }) // false` */
export function isSlip(doubt: Doubt): doubt is Slip {
  return doubt.code.startsWith('slip-')
}

/** From where to where a number may well lie. */
export interface Near {
  low: number
  high: number
}

export interface Surroundings {
  unit: UnitCode
  /** The smallest mark. */
  resolution: number
  /** Where its fellows lie, the group's own level added; from the lowest to the highest that the teacher expects, where there are none. */
  near: Near | undefined
  /** Where its fellows lie as they were written, for words. */
  middle: number
  sd: number
  /** So many times further off something has to lie before it is odd, or its digits are doubted: little is known of the wobble. */
  doubt: number
  /** Enough is known of the wobble to call something odd. */
  canBeOdd: boolean
  /** Units of the same dimension that people here could have read in. */
  units: UnitCode[]
  /** The other place of the same jar, read at the same time. */
  other: { place: string; value: number; near: Near } | undefined
  /** What the containers weigh or hold empty, where readings were taken from empty to full. */
  empty: number | undefined
  /** It was written in another unit and turned into this one. */
  converted: boolean
  /** No more than this can be read: there the string, the table or the watch ends. */
  most: number | undefined
}

/**
 * What to ask about a number before it is written down; never altered, only asked. A slip is further than 4 sds from its fellows' middle
 * and lies within 2 once the unit, the point, the digits or the place are put right, or the empty container is taken off. Odd is further than 3.5 sds. More digits
 * than the tool can show are asked about after that.
 * @param value in `unit`
 * @example checkEntry(5.3, { unit: 'mm', resolution: 1, near: { low: 52, high: 52 }, middle: 52, sd: 3, canBeOdd: true,
 *   doubt: 1, units: ['cm', 'm'], other: undefined, empty: undefined, converted: false, most: undefined })[0] // { code: 'slip-unit', suggested: 53, unit: 'cm', middle: 52 }
 */
export function checkEntry(value: number, around: Surroundings): Doubt[] {
  const { unit, resolution, near, middle, sd, doubt, canBeOdd, converted, most } = around
  if (value < 0 && unitOf(unit).dimension !== 'temperature') return [{ code: 'impossible' }]
  const doubts: Doubt[] = []
  if (near) {
    const away = distance(value, near) / sd
    const slip = away > SLIP_SDS ? findSlip(value, near, around) : undefined
    if (slip) doubts.push(slip)
    else if (canBeOdd && away > ODD_SDS * doubt)
      doubts.push({ code: 'odd', middle, sds: away, side: value > near.high ? 'above' : 'below' })
  }
  if (most !== undefined && value > most && doubts.length === 0) doubts.push({ code: 'beyond', most })
  if (!converted && !onTheMark(value, resolution)) doubts.push({ code: 'too-fine', resolution })
  return doubts
}

const POINT_FACTORS = [10, 100, 1000]

function findSlip(value: number, near: Near, { sd, doubt, unit, units, other, empty, middle }: Surroundings): Slip | undefined {
  const fits = (changed: number) => distance(changed, near) <= SLIP_FITS_WITHIN * sd
  for (const read of units) {
    const changed = convert(value, read, unit)
    if (changed !== undefined && fits(changed)) return { code: 'slip-unit', suggested: withoutNoise(changed), unit: read, middle }
  }
  for (const factor of POINT_FACTORS.flatMap((each) => [each, 1 / each])) {
    if (fits(value * factor)) return { code: 'slip-point', suggested: withoutNoise(value * factor), factor, middle }
  }
  const turned = distance(value, near) > SLIP_SDS * doubt * sd ? turnedRound(value).find(fits) : undefined
  if (turned !== undefined) return { code: 'slip-digits', suggested: turned, middle }
  const swaps = other && fits(other.value) && distance(value, other.near) <= SLIP_FITS_WITHIN * sd
  if (swaps) return { code: 'slip-swapped', place: other.place, middle }
  if (empty !== undefined && fits(value - empty))
    return { code: 'slip-empty', suggested: withoutNoise(value - empty), empty, middle }
  return undefined
}

/** The number with two neighbouring digits the other way round. `turnedRound(35) // [53]` */
function turnedRound(value: number): number[] {
  const written = String(withoutNoise(value))
  return [...written].flatMap((digit, place) => {
    const next = written[place + 1]
    if (next === undefined || digit === next || !/\d/.test(digit) || !/\d/.test(next)) return []
    return [Number(written.slice(0, place) + next + digit + written.slice(place + 2))]
  })
}

/** The number in this stretch that lies next to a value. `nearest(9, { low: 2, high: 5 }) // 5` */
export function nearest(value: number, { low, high }: Near): number {
  return Math.min(high, Math.max(low, value))
}

function distance(value: number, near: Near): number {
  return Math.abs(value - nearest(value, near))
}
