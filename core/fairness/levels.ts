import { activeConditions, conditionValue, withLabel, type Condition, type Plan } from '../lesson'
import { unitOf, withoutNoise } from '../quantity'

/** A line needs three numbers at least; five show whether it bends. */
export const FEWEST_LEVELS = 3
export const GOOD_LEVELS = 5
const UNEVEN = 1.5
const NARROW = 1.5
const STEPS = [1, 2, 2.5, 5, 10]

export interface Levels {
  /** Ascending, each once. */
  values: number[]
  /** The widest gap is more than half as wide again as the narrowest. */
  uneven: boolean
  /** The largest is less than half as large again as the smallest, so that little can change. */
  narrow: boolean
  /** Five numbers in round, even steps over the range, and over twice the range where it is narrow. */
  suggested: number[]
}

/**
 * Are the numbers enough for a line: how many, how evenly spread, how wide. Temperatures have no true zero to be a multiple of, so
 * there only the steps are judged.
 * @returns undefined for kinds, or until two different numbers can be read
 * @example levelsOf(lengths('40', '50', '100'))
 *   // => { values: [40, 50, 100], uneven: true, narrow: false, suggested: [40, 55, 70, 85, 100] }
 */
export function levelsOf(plan: Plan): Levels | undefined {
  const read = activeConditions(plan).flatMap((condition) => conditionValue(plan, condition) ?? [])
  const values = [...new Set(read)].sort((a, b) => a - b)
  const [lowest, highest] = [values[0], values.at(-1)]
  if (lowest === undefined || highest === undefined || highest <= lowest) return undefined
  const gaps = values.slice(1).map((value, place) => value - values[place]!)
  const narrow = unitOf(plan.conditionUnit).dimension !== 'temperature' && lowest > 0 && highest < NARROW * lowest
  const count = Math.max(values.length, GOOD_LEVELS)
  return {
    values,
    uneven: Math.max(...gaps) > UNEVEN * Math.min(...gaps) * (1 + 1e-9),
    narrow,
    suggested: suggestLevels(lowest, narrow ? lowest + 2 * (highest - lowest) : highest, count),
  }
}

/**
 * So many numbers in even, round steps, as near to the wanted range as round steps come.
 * @example suggestLevels(20, 100, 5) // => [20, 40, 60, 80, 100]
 * @example suggestLevels(13, 47, 4) // => [15, 25, 35, 45]
 */
export function suggestLevels(low: number, high: number, count: number): number[] {
  if (count < 2 || high <= low) return [low]
  const exact = (high - low) / (count - 1)
  const power = 10 ** Math.floor(Math.log10(exact))
  const tidy = [...STEPS, 1.5, 3, 4, 6, 8].map((step) => step * power)
  // A step that divides the range as it is goes before a rounder one that does not.
  const step =
    near(exact, tidy) ??
    nearest(
      exact,
      STEPS.map((one) => one * power),
    )
  const start = near(exact, tidy) === undefined ? Math.round(low / (step / 2)) * (step / 2) : low
  return Array.from({ length: count }, (_, place) => withoutNoise(start + place * step))
}

function near(value: number, candidates: number[]): number | undefined {
  return candidates.find((one) => Math.abs(one / value - 1) < 1e-9)
}

function nearest(value: number, candidates: number[]): number {
  return candidates.reduce((best, one) => (Math.abs(one - value) < Math.abs(best - value) ? one : best))
}

/**
 * The plan with these numbers as its conditions. Conditions that are there keep their ids, the smallest first; more are added at
 * the end, and surplus ones are left out and not taken away.
 * @param newId makes the ids of further conditions
 */
export function withLevels(plan: Plan, values: number[], newId: () => string): Plan {
  const active = [...activeConditions(plan)].sort(
    (a, b) => (conditionValue(plan, a) ?? Infinity) - (conditionValue(plan, b) ?? Infinity),
  )
  const further = values
    .slice(active.length)
    .map((value): Condition => ({ id: newId(), label: String(value), baseline: false, leftOut: false }))
  const numbers: Plan = { ...plan, conditionsAs: 'numbers' }
  const known = active.reduce((before, condition, place) => {
    const value = values[place]
    return value === undefined ? withoutCondition(before, condition.id) : withLabel(before, condition.id, String(value))
  }, numbers)
  return { ...known, conditions: [...known.conditions, ...further] }
}

function withoutCondition(plan: Plan, id: string): Plan {
  const conditions = plan.conditions.map((condition) => (condition.id === id ? { ...condition, leftOut: true } : condition))
  return { ...plan, conditions }
}
