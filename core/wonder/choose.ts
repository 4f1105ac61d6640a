import { chooseChange } from '../fairness'
import { newFactor, type Plan } from '../lesson'
import { withNamedInstrument } from '../measuring'
import { newMeasure } from '../test'
import { testableOf, type CardOrNew } from './testable'

/**
 * The plan with a wondering as its question: the nearest testable question's cards lie in Change and Measure, made where the plan
 * did not have them. Where nothing in sight would do, the tray stays as it is.
 */
export function chooseWondering(plan: Plan, id: string, newId: () => string): Plan {
  const wondering = plan.wonder.wondered.find((remark) => remark.id === id)
  if (!wondering) return plan
  const { nearest } = testableOf(plan, wondering)
  const wondered = plan.wonder.wondered.map((remark) => (remark.id === id ? { ...remark, later: false } : remark))
  const chosen = { ...plan, asked: { ...plan.asked, chosen: id }, wonder: { ...plan.wonder, wondered } }
  return withMeasure(withChange(chosen, nearest.change, newId), nearest.measure, newId)
}

function withChange(plan: Plan, { id, name }: CardOrNew, newId: () => string): Plan {
  if (id !== undefined) return chooseChange(plan, id)
  if (name === '') return plan
  const factor = newFactor(newId(), name)
  return { ...plan, factors: [...plan.factors, factor], changed: factor.id }
}

function withMeasure(plan: Plan, { id, name }: CardOrNew, newId: () => string): Plan {
  if (id !== undefined) return { ...plan, measured: id }
  if (name === '') return plan
  const measure = withNamedInstrument(newMeasure(newId(), name), plan.kind)
  return { ...plan, measures: [...plan.measures, measure], measured: measure.id }
}

/** A wondering waits for next time, or comes back. */
export function keepForLater(plan: Plan, id: string, later: boolean): Plan {
  const wondered = plan.wonder.wondered.map((remark) => (remark.id === id ? { ...remark, later } : remark))
  const chosen = later && plan.asked.chosen === id ? null : plan.asked.chosen
  return { ...plan, asked: { ...plan.asked, chosen }, wonder: { ...plan.wonder, wondered } }
}
