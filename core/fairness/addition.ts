import { changedFactor, keptFactors, withCondition, type Plan } from '../lesson'
import { settingOf, UNKNOWN } from './settings'

/** What has to be as another condition has it, so that this one can be compared: factor and value, as it was written. */
export interface Mending {
  factor: string
  value: string
}

/**
 * The plan with one condition more: what was changed as an unfair condition has it, and all else as another one has it, so that the two can be compared. A
 * value that nobody wrote is never made up.
 * @param condition the unfair one
 * @param like      the one whose other values it takes
 * @returns undefined where one of the values is not known, or that condition is there already
 * @example withFairTwin(soakUpPlan(), 'card', 'tissue', newId) // => undefined
 */
export function withFairTwin(plan: Plan, condition: string, like: string, newId: () => string): Plan | undefined {
  const mending = mendingOf(plan, condition, like)
  const unfair = plan.conditions.find(({ id }) => id === condition)
  const changed = changedFactor(plan)
  if (
    !unfair ||
    !changed ||
    mending.length === 0 ||
    isSameChange(plan, condition, like) ||
    !mending.every(({ value }) => isWritten(value))
  )
    return undefined
  const id = newId()
  const named = mending.map(({ factor, value }) => `${plan.factors.find((one) => one.id === factor)!.name}: ${value}`)
  const label = [unfair.label, ...named].join(', ').slice(0, 200)
  if (plan.conditions.some((one) => one.label === label)) return undefined
  const spelledOut = condition in changed.exceptions || Object.keys(changed.exceptions).length > 0
  const series = plan.series.map((one) =>
    one.conditions.includes(condition) ? { ...one, conditions: [...one.conditions, id] } : one,
  )
  return {
    ...withCondition(plan, id, label),
    series,
    factors: plan.factors.map((factor) => {
      const value = settingOf(factor, factor.id === changed.id ? condition : like)
      const wanted = factor.id !== changed.id || spelledOut
      return wanted && value !== factor.how.trim() ? { ...factor, exceptions: { ...factor.exceptions, [id]: value } } : factor
    }),
  }
}

/** Do both have the same of what was changed, so that all else could be the same and there would still be nothing to compare. */
export function isSameChange(plan: Plan, one: string, other: string): boolean {
  const changed = changedFactor(plan)
  const [own, others] = [one, other].map((id) => changed && changed.exceptions[id]?.trim().toLowerCase())
  return own !== undefined && own === others
}

/** In what a condition would have to be like another one. */
export function mendingOf(plan: Plan, condition: string, like: string): Mending[] {
  return keptFactors(plan).flatMap((factor) => {
    const [own, wanted] = [settingOf(factor, condition), settingOf(factor, like)]
    const same = own.trim().toLowerCase() === wanted.trim().toLowerCase() && isWritten(own)
    return same || (own.trim() === '' && wanted.trim() === '') ? [] : [{ factor: factor.id, value: wanted }]
  })
}

function isWritten(value: string): boolean {
  return value.trim() !== '' && value.trim() !== UNKNOWN
}
