import { type Plan } from '../lesson'
import { countsOf, testOf } from '../test'
import type { TrialResult } from '../record'
import { changesFromNothing, type FromNothing } from './fromNothing'
import type { ConditionSummary, EvidenceOptions, Limit } from './grade'

export interface AgainstKnown {
  value: number
  /** How far each condition is from it, and how sure that is; `mean` is the difference. */
  rows: FromNothing[]
  /** What each condition saves in a week where its difference is clear, in the unit of the result: one child alone, and the class. Less than nothing where more was used. */
  savings: { condition: string; child: number; class: number }[]
}

/**
 * The results against a value that is known from elsewhere: Student's t of the cells less that value, with Holm's correction over the conditions.
 * @returns undefined where no value is known, or nothing can be taken from it
 * @example againstKnown(soakUpPlan(), [], [], { resolution: 1, totalSd: 0, differenceThatMatters: 0 }, []) // => undefined
 */
export function againstKnown(
  plan: Plan,
  results: TrialResult[],
  summaries: ConditionSummary[],
  options: EvidenceOptions,
  limits: Limit[],
): AgainstKnown | undefined {
  const { amount } = testOf(plan)
  if (!amount || amount.known === null || countsOf(plan) === 'until') return undefined
  const { known, knownWeekly } = amount
  const rows = changesFromNothing(
    results.map((one) => ({ ...one, value: one.value - known })),
    options,
    limits,
    'value',
  )
  const isClear = (id: string) => rows.some(({ condition, grade }) => condition === id && grade === 'clear')
  return {
    value: known,
    rows,
    savings:
      knownWeekly === null
        ? []
        : summaries
            .filter(({ condition }) => isClear(condition))
            .map(({ condition, mean }) => {
              const child = (known - mean) * knownWeekly
              return { condition, child, class: child * plan.children }
            }),
  }
}
