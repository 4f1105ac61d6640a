import { normalBelow, normalDensity } from '../chance'

const STEPS_PER_SD = 40
const FAR_APART = 12

/**
 * Chance that the condition with the truly largest result also averages largest, when each average is of `repeats`
 * readings with the same normal wobble. One integral over the largest one's average against all others.
 * @param means   expected results, one per condition, same unit as `sd`
 * @param sd      wobble of one reading: trial-to-trial and measuring together
 * @param repeats readings per condition
 * @throws RangeError with fewer than two conditions
 * @example chanceBestIsBest([0.62, 0.70, 0.78], 0.15814, 3) // => 0.68976
 */
export function chanceBestIsBest(means: number[], sd: number, repeats: number): number {
  const [best, ...others] = inStandardSteps(means, sd, repeats).reverse()
  const density = (z: number) => others.reduce((product, other) => product * normalBelow(best! - other + z), normalDensity(z))
  return Math.min(1, sumOverGrid(density))
}

/**
 * Chance that all averages come out in the true order. Conditions more than twelve standard errors apart cannot swap, so
 * the row is cut there; within a piece the chance is built up one condition at a time on a fine grid.
 * @example chanceRightOrder([0.62, 0.70, 0.78], 0.15814, 3) // => 0.4872
 */
export function chanceRightOrder(means: number[], sd: number, repeats: number): number {
  const steps = inStandardSteps(means, sd, repeats)
  const pieces: number[][] = []
  steps.forEach((step, place) => {
    if (place === 0 || step - steps[place - 1]! > FAR_APART) pieces.push([step])
    else pieces.at(-1)!.push(step)
  })
  return pieces.reduce((product, piece) => product * chancePieceInOrder(piece), 1)
}

/**
 * Smallest repeats per condition that give the wanted chance of the truly largest condition also averaging largest.
 * Normal wobble, equal for all conditions. See docs/decisions.md "How many repeats".
 * @param means expected results, one per condition, same unit as `sd`
 * @param sd    wobble of one reading: trial-to-trial and measuring together
 * @returns repeats, or undefined when even `most` repeats will not do
 * @throws  RangeError with fewer than two conditions
 * @example repeatsNeeded([0.62, 0.70, 0.78], 0.15814, { chance: 0.9, most: 20 }) // => 14
 */
export function repeatsNeeded(means: number[], sd: number, { chance, most }: { chance: number; most: number }): number | undefined {
  const enough = (repeats: number) => chanceBestIsBest(means, sd, repeats) >= chance
  if (most < 1 || !enough(most)) return undefined
  // The chance never falls with more repeats, so the smallest number is found by halving.
  let [tooFew, repeats] = [0, most]
  while (repeats - tooFew > 1) {
    const middle = Math.floor((tooFew + repeats) / 2)
    if (enough(middle)) repeats = middle
    else tooFew = middle
  }
  return repeats
}

/** The means in ascending order, counted in standard errors of an average. */
function inStandardSteps(means: number[], sd: number, repeats: number): number[] {
  if (means.length < 2) throw new RangeError('needs-two-conditions')
  const standardError = Math.max(sd / Math.sqrt(repeats), 1e-12)
  return means.map((mean) => mean / standardError).sort((a, b) => a - b)
}

function chancePieceInOrder(ascending: number[]): number {
  if (ascending.length === 1) return 1
  const low = ascending[0]! - 8
  const high = ascending.at(-1)! + 8
  const count = Math.ceil((high - low) * STEPS_PER_SD)
  const width = (high - low) / count
  // below[i]: chance that the conditions so far came out in order, the last of them below grid point i.
  let below = Float64Array.from({ length: count + 1 }, (_, i) => normalBelow(low + i * width - ascending[0]!))
  for (const mean of ascending.slice(1)) {
    const next = new Float64Array(count + 1)
    let before = normalDensity(low - mean) * below[0]!
    for (let i = 1; i <= count; i += 1) {
      const here = normalDensity(low + i * width - mean) * below[i]!
      next[i] = next[i - 1]! + ((before + here) * width) / 2
      before = here
    }
    below = next
  }
  return Math.min(1, below[count]!)
}

const FAR = 8.5
const GRID = 102

/** Trapezoids on a grid of a sixth of an sd: for smooth functions that die away on both sides they are exact to double precision. */
function sumOverGrid(f: (z: number) => number): number {
  const width = (2 * FAR) / GRID
  let sum = 0
  for (let i = 1; i < GRID; i += 1) sum += f(-FAR + i * width)
  return sum * width
}
