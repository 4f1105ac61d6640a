import { activeConditions, conditionValue, withLabel, type Condition, type Plan } from '../lesson'
import { unitOf, withoutNoise, type UnitCode } from '../quantity'

/** A line needs three numbers at least; five show whether it bends. */
export const FEWEST_LEVELS = 3
export const GOOD_LEVELS = 5
const UNEVEN = 1.5
const NARROW = 1.5
const TIDY = [1, 1.5, 2, 2.5, 3, 4, 5, 6, 8, 10, 15, 20]

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
    suggested: suggestLevels(lowest, narrow ? lowest + 2 * (highest - lowest) : highest, count, plan.conditionUnit),
  }
}

/**
 * So many numbers in even, round steps that cover the whole of the wanted range: what a class wanted to try is never cut off. Counts are whole, and where there are not
 * so many whole numbers all of them.
 * @example suggestLevels(20, 100, 5) // => [20, 40, 60, 80, 100]
 * @example suggestLevels(13, 47, 4) // => [10, 25, 40, 55]
 * @example suggestLevels(1, 4, 5, 'count') // => [1, 2, 3, 4]
 */
export function suggestLevels(low: number, high: number, count: number, unit?: UnitCode): number[] {
  if (count < 2 || high <= low) return [low]
  const whole = unit === 'count'
  const [from, to] = whole ? [Math.round(low), Math.round(high)] : [low, high]
  const many = whole ? Math.min(count, to - from + 1) : count
  if (many < 2) return [from]
  const exact = (to - from) / (many - 1)
  const power = 10 ** Math.floor(Math.log10(exact))
  const round = TIDY.map((step) => withoutNoise(step * power)).filter((step) => !whole || Number.isInteger(step))
  const levels = (start: number, step: number) => Array.from({ length: many }, (_, place) => withoutNoise(start + place * step))
  // A step that divides the range as it is goes before a rounder one that does not.
  if (round.some((step) => isNear(step, exact))) return levels(from, exact)
  for (const step of round.filter((one) => one > exact)) {
    const begins = [step, power, step / 2]
      .filter((one) => !whole || Number.isInteger(one))
      .map((one) => Math.floor(from / one) * one)
    // Where it begins above nothing, nothing at all is not among it.
    const start = begins.find((one) => one + (many - 1) * step >= to && (one > 0 || from <= 0))
    if (start !== undefined) return levels(start, step)
  }
  return levels(from, whole ? Math.ceil(exact) : exact)
}

function isNear(value: number, wanted: number): boolean {
  return Math.abs(value / wanted - 1) < 1e-9
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
