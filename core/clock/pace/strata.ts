import { probit } from 'simple-statistics'
import { normalBelow, normalDensity, seededRandom } from '../../chance'

/** How many ways in which a lesson could go on are looked at. */
export const DRAWS = 1500

const SEED = 34
const known: Float64Array[] = []

/**
 * Standard normal values, one from each of 1,500 equally likely slices, in an order of their own for every number: what draws at random
 * would need a hundred times as many of (a Latin hypercube).
 * Source: McKay, Beckman, Conover, "A comparison of three methods for selecting values of input variables" (1979).
 * @example strata(0).length // => 1500
 */
export function strata(number: number): Float64Array {
  return (known[number] ??= mixed(number))
}

function mixed(number: number): Float64Array {
  const values = Float64Array.from({ length: DRAWS }, (_, slice) => exactly((slice + 0.5) / DRAWS))
  const random = seededRandom(SEED + number)
  for (let last = DRAWS - 1; last > 0; last -= 1) {
    const other = Math.floor(random() * (last + 1))
    ;[values[last], values[other]] = [values[other]!, values[last]!]
  }
  return values
}

/** The package's inverse is right to three digits; one step of Newton's makes it seven. */
function exactly(share: number): number {
  const near = probit(share)
  return near - (normalBelow(near) - share) / normalDensity(near)
}
