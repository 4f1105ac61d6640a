import { checkPlan, isSameChange, mendingOf, withFairTwin, type FairComparison, type Mending } from '../fairness'
import { activeConditions, type Plan } from '../lesson'
import { kindOf } from '../test'

/** What of a class's conditions cannot be compared fairly with the rest. */
export interface NotFair {
  /** Conditions that are compared, fair among themselves; empty where no two are. */
  compared: string[]
  /** Conditions that are not, each with what differs or is unknown. */
  apart: Apart[]
  /** What the set-up can answer beside or instead of the question: other factors, each with the conditions that differ in it alone. */
  answers: FairComparison[]
}

export interface Apart {
  condition: string
  /** Factors that differ from those of the compared ones. */
  differing: string[]
  unknown: string[]
  /** One of the compared ones, and what the condition to add would have from it so that this one's value can be compared. */
  like: string
  mend: Mending[]
  /** All of those values are known: the condition can be added. */
  canBeAdded: boolean
}

/**
 * Which conditions may be compared: the largest set with results that differs in what was changed and in nothing else. A kind of test that does not
 * compare, and a plan in which nothing is changed on purpose, have nothing unfair in them.
 * @param having conditions with results
 * @returns undefined where all of them may be compared
 */
export function unfairAmong(plan: Plan, having: string[]): NotFair | undefined {
  const check = kindOf(plan).compares ? checkPlan(plan) : undefined
  if (!check || check.fair || having.length < 2) return undefined
  const sets = check.fairAmong.map((set) => set.filter((id) => having.includes(id))).filter((set) => set.length > 1)
  const [compared = []] = sets.sort((a, b) => b.length - a.length)
  const apartIds = having.filter((id) => !compared.includes(id))
  if (apartIds.length === 0) return undefined
  const pattern = compared[0] ?? having[0]!
  const apart = apartIds.map((condition): Apart => {
    const pair = check.pairs.find(({ a, b }) => (a === condition && b === pattern) || (b === condition && a === pattern))
    const unknown = check.unknown.filter((one) => one.conditions.includes(condition)).map(({ factor }) => factor)
    const differing = pair?.differing ?? []
    const wanted = isSameChange(plan, condition, pattern) ? [] : mendingOf(plan, condition, pattern)
    const mend = wanted.filter(({ factor }) => differing.includes(factor) || unknown.includes(factor))
    const canBeAdded = withFairTwin(plan, condition, pattern, () => '') !== undefined
    return { condition, differing, unknown, like: pattern, mend, canBeAdded }
  })
  // Two that have the same value of the changed factor are no unfair pair, only one condition twice.
  if (compared.length > 0 && apart.every(({ differing, unknown }) => differing.length + unknown.length === 0)) return undefined
  const active = activeConditions(plan).map(({ id }) => id)
  const inOrder = (ids: string[]) => active.filter((id) => ids.includes(id))
  const answers = check.otherQuestions
    .map(({ factor, conditions }) => ({ factor, conditions: inOrder(conditions.filter((id) => having.includes(id))) }))
    .filter(({ conditions }) => conditions.length > 1)
  return { compared: inOrder(compared), apart, answers }
}

/** The conditions that would make the wished comparison, where all that they need is known: what can be offered to be added. */
export function twinsToAdd(notFair: NotFair | undefined): { code: 'add-fair-twin'; condition: string; like: string }[] {
  const addable = (notFair?.apart ?? []).filter(({ canBeAdded }) => canBeAdded)
  return addable.map(({ condition, like }) => ({ code: 'add-fair-twin', condition, like }))
}
