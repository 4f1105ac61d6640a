import { unreachable } from '../unreachable'
import { chooseChange, settingOf, takeComparison, UNKNOWN, withFairTwin, withLevels } from '../fairness'
import { activeConditions, withGroups, type Plan } from '../lesson'
import { withoutLevel, withMethod } from '../test'
import { applyWay, INSTRUMENTS, withInstrument } from '../measuring'
import { withSpares } from '../kit'
import { takeMend, takeWayOut } from '../waysOut'
import type { Fix } from './finding'

/** What the plan says when one button was pressed instead of a sentence being typed. */
export const HOW_WORDS = {
  'one-for-all': 'one for the whole class',
  'same-each-time': 'the same one every time',
} as const

/** A fix that changes the plan; the others change the record or only lead somewhere. */
export type PlanFix = Exclude<Fix, { code: 'keep-reading' | 'correct-reading' | 'these-were' | 'go' | 'on-measure' }>

const NOT_OF_THE_PLAN: readonly Fix['code'][] = ['keep-reading', 'correct-reading', 'these-were', 'go', 'on-measure']

export function isPlanFix(fix: Fix): fix is PlanFix {
  return !NOT_OF_THE_PLAN.includes(fix.code)
}

/**
 * The plan after one of the Second look's buttons; the given plan is left as it is.
 * @param newId makes the ids of new groups
 * @example mend(plan, { code: 'set-repeats', repeats: 3 }, newId).repeats // => 3
 */
export function mend(plan: Plan, fix: PlanFix, newId: () => string): Plan {
  switch (fix.code) {
    case 'choose-change':
      return chooseChange(plan, fix.factor)
    case 'choose-measure':
      return { ...plan, measured: fix.measure }
    case 'move-to-maybe': {
      const { noticed, maybe } = plan.wonder
      const moved = noticed.filter((remark) => remark.id === fix.remark)
      return {
        ...plan,
        wonder: { ...plan.wonder, noticed: noticed.filter((remark) => remark.id !== fix.remark), maybe: [...maybe, ...moved] },
      }
    }
    case 'keep-noticed': {
      const noticed = plan.wonder.noticed.map((remark) => (remark.id === fix.remark ? { ...remark, kept: true } : remark))
      return { ...plan, wonder: { ...plan.wonder, noticed } }
    }
    case 'make-factor-same':
      return {
        ...plan,
        factors: plan.factors.map((factor) => (factor.id === fix.factor ? sameForAll(plan, factor, fix.conditions) : factor)),
      }
    case 'comes-with':
      return {
        ...plan,
        factors: plan.factors.map((factor) => (factor.id === fix.factor ? { ...factor, comesWith: true } : factor)),
      }
    case 'leave-out':
      return {
        ...plan,
        conditions: plan.conditions.map((condition) =>
          fix.conditions.includes(condition.id) ? { ...condition, leftOut: true } : condition,
        ),
      }
    case 'say-how':
      return {
        ...plan,
        factors: plan.factors.map((factor) => (factor.id === fix.factor ? { ...factor, how: HOW_WORDS[fix.how] } : factor)),
      }
    case 'add-fair-twin':
      return withFairTwin(plan, fix.condition, fix.like, newId) ?? plan
    case 'remove-condition':
      return withoutLevel(plan, fix.condition)
    case 'treat-as-kinds':
      return { ...plan, conditionsAs: 'kinds' }
    case 'set-repeats':
      return { ...plan, repeats: fix.repeats, gapsStay: false }
    case 'take-instrument': {
      const instrument = INSTRUMENTS.find(({ code }) => code === fix.instrument)
      return instrument ? withMethod(plan, (method) => withInstrument(method, instrument)) : plan
    }
    case 'say-best':
      return withMethod(plan, (method) => ({ ...method, best: fix.best }))
    case 'take-used':
      return withMethod(plan, (method) => ('eachIs' in method ? { ...method, eachIs: 'used' } : method))
    case 'count-by-size':
      return withMethod(plan, (method) => ({ ...method, bySize: fix.bySize }))
    case 'take-fresh':
      return { ...plan, things: 'fresh' }
    case 'mix-trials':
      return { ...plan, arrangement: { ...plan.arrangement, order: 'mixed' } }
    case 'leave-gaps':
      return { ...plan, gapsStay: true }
    case 'take-levels':
      return withLevels(plan, fix.values, newId)
    case 'take-comparison':
      return takeComparison(plan, fix)
    case 'set-words':
      return withMethod(plan, (method) => ({ ...method, words: fix.words }))
    case 'set-times':
      return { ...plan, watch: { ...plan.watch, times: fix.times } }
    case 'take-way':
      return applyWay(plan, fix.way, newId)
    case 'set-groups':
      return withGroups(plan, fix.groups, newId)
    case 'say-per':
      return {
        ...plan,
        materials: plan.materials.map((one) => (one.id === fix.material ? { ...one, per: fix.per, perSaid: true } : one)),
      }
    case 'set-spares':
      return withSpares(plan)
    case 'take-mend':
      return takeMend(plan, fix.mend)
    case 'take-way-out':
      return takeWayOut(plan, fix.way, newId)
    case 'set-date':
      return { ...plan, date: fix.date }
    case 'acknowledge-own':
      return {
        ...plan,
        ownCautions: plan.ownCautions.map((one) => (one.id === fix.caution ? { ...one, acknowledged: true } : one)),
      }
    case 'acknowledge':
      return { ...plan, cautionsAcknowledged: [...new Set([...plan.cautionsAcknowledged, fix.caution])] }
    default:
      return unreachable(fix)
  }
}

/**
 * Gives the odd conditions what most of the others have; a value that nobody wrote is never invented. Where the others share one exception, it
 * becomes the rule.
 */
function sameForAll(plan: Plan, factor: Plan['factors'][number], odd: string[]): Plan['factors'][number] {
  const active = activeConditions(plan).map(({ id }) => id)
  const others = active.filter((id) => !odd.includes(id))
  const values = (others.length > 0 ? others : active).map((id) => settingOf(factor, id)).filter((value) => value !== UNKNOWN)
  const usual = mostOften(values) ?? factor.how.trim()
  const exceptions = Object.fromEntries(Object.entries(factor.exceptions).filter(([id]) => !odd.includes(id)))
  if (usual === factor.how.trim()) return { ...factor, exceptions }
  const everyOtherHasIt = others.every((id) => settingOf(factor, id) === usual)
  if (everyOtherHasIt) return { ...factor, how: usual, exceptions: {} }
  return { ...factor, exceptions: { ...exceptions, ...Object.fromEntries(odd.map((id) => [id, usual])) } }
}

/** The value that comes most often, the first of several that do. */
function mostOften(values: string[]): string | undefined {
  const counts = new Map<string, number>()
  for (const value of values) counts.set(value, (counts.get(value) ?? 0) + 1)
  const most = Math.max(0, ...counts.values())
  return [...counts].find(([, count]) => count === most)?.[0]
}
