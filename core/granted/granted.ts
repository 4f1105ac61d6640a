import { modelOf } from '../benches'
import { checkPlan } from '../fairness'
import type { Each, Plan, Things } from '../lesson'
import { asksForMost, expectedMost } from '../measuring'
import {
  bestOf,
  canBeNothing,
  countedFor,
  countsOf,
  eachMeasure,
  isBestKnown,
  isBySize,
  testOf,
  type Best,
  type Counted,
} from '../test'
import type { UnitCode } from '../quantity'
import type { Fix } from '../secondLook'

/** What a lesson takes for granted: what was read from words or assumed, and would turn a verdict round if it were wrong. */
export type Granted = { measure: string | null } & (
  | { code: 'best-open' }
  | { code: 'best-by-words'; best: Best }
  | { code: 'unit-open'; unit: UnitCode }
  | { code: 'counts'; counts: Counted }
  | { code: 'sign'; bySize: boolean }
  | { code: 'expected-order'; most: string }
  | { code: 'left-as-it-is' }
  | { code: 'wobble' }
  | { code: 'things'; things: Things }
  | { code: 'kept'; factors: string[] }
  | { code: 'written-by'; each: Each }
)

/**
 * What nobody said outright, of each measure and of the whole plan; and how many real things there are and who writes down, which the plan always has an answer to.
 * @example grantedOf(soakUpPlan()).map(({ code }) => code) // => ['things', 'written-by']
 */
export function grantedOf(plan: Plan): Granted[] {
  const unsaid = checkPlan(plan)?.unsaid ?? []
  return [
    ...eachMeasure(plan).flatMap(ofMeasure),
    { code: 'things', measure: null, things: plan.things },
    ...(unsaid.length > 0 ? [{ code: 'kept' as const, measure: null, factors: unsaid }] : []),
    { code: 'written-by', measure: null, each: plan.each },
  ]
}

/**
 * The one press that says it otherwise; undefined where there are several answers to choose from.
 * @param begun there are readings, which were written as what is left
 * @example grantedFix({ code: 'left-as-it-is', measure: 'm' }, false) // => { code: 'on-measure', measure: 'm', fix: { code: 'take-used' } }
 */
export function grantedFix(granted: Granted, begun: boolean): Fix | undefined {
  const { code, measure } = granted
  if (measure === null || (code !== 'sign' && (code !== 'left-as-it-is' || begun))) return undefined
  const fix: Fix = code === 'sign' ? { code: 'count-by-size', bySize: !granted.bySize } : { code: 'take-used' }
  return { code: 'on-measure', measure, fix }
}

function ofMeasure(view: Plan): Granted[] {
  const { measure: card, method, amount } = testOf(view)
  if (!card || !method) return []
  const measure = card.id
  const found: Granted[] = []
  if (amount && amount.tool.trim() === '') found.push({ code: 'unit-open', measure, unit: amount.unit })
  if (!isBestKnown(view)) found.push({ code: 'best-open', measure })
  else if (method.best === null && bestOf(view) !== 'none' && amount)
    found.push({ code: 'best-by-words', measure, best: bestOf(view) })
  if (method.counts === null && countedFor(view).length > 1) found.push({ code: 'counts', measure, counts: countsOf(view) })
  if (amount?.eachIs === 'shown' && /\b(?:is|are) left\b|\bremain/i.test(card.name)) found.push({ code: 'left-as-it-is', measure })
  if (canBeNothing(view)) found.push({ code: 'sign', measure, bySize: isBySize(view) })
  const last = view.conditions.findLast(({ leftOut }) => !leftOut)
  // A bench knows what gives most; a guess without an order does not.
  if (last && modelOf(view)?.from === 'guess' && asksForMost(view) && expectedMost(view) === undefined)
    found.push({ code: 'expected-order', measure, most: last.id })
  if (amount && amount.trialWobble === null && amount.expectedHigh !== null) found.push({ code: 'wobble', measure })
  return found
}
