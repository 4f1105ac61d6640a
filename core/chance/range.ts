import { normalBelow, normalDensity } from './normal'

const STEPS = 400
const FAR = 8
/** A gap as wide comes up by luck alone in one class of five. */
const BY_LUCK = 0.2
const known = new Map<number, number>()

/**
 * How far, in standard deviations, the largest and the smallest of so many values lie apart in four classes of five at most, where nothing
 * but wobble is at work: the studentised range without end of freedom (Pearson and Hartley, 1943).
 * @example Math.round(100 * rangeByLuck(3)) // => 242
 */
export function rangeByLuck(conditions: number): number {
  const before = known.get(conditions)
  if (before !== undefined) return before
  let [low, high] = [0, 12]
  while (high - low > 1e-6) {
    const middle = (low + high) / 2
    if (chanceWithin(middle, conditions) < 1 - BY_LUCK) low = middle
    else high = middle
  }
  known.set(conditions, high)
  return high
}

function chanceWithin(range: number, count: number): number {
  const width = (2 * FAR) / STEPS
  let sum = 0
  for (let step = 0; step <= STEPS; step += 1) {
    const highest = -FAR + step * width
    sum += normalDensity(highest) * (normalBelow(highest) - normalBelow(highest - range)) ** (count - 1)
  }
  return count * sum * width
}
