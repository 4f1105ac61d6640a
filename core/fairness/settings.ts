import { oncePer } from '../chance'
import { activeConditions, changedFactor, comingFactors, conditionValue, keptFactors, type Factor, type Plan } from '../lesson'
import { atLevel, seriesIn, seriesOfCondition } from '../test'
import { isVague } from './vague'
import { checkFairness, type FairCheck, type Pair, type Setting } from './compare'

export const UNKNOWN = '?'

/** What a kept factor is for one condition, as it was written. */
export function settingOf(factor: Factor, condition: string): string {
  return factor.exceptions[condition] ?? factor.how.trim()
}

/**
 * The plan as a table of conditions by factors. A kept factor has one value for all conditions (what `how` says) but for
 * its exceptions; `?` there means that nobody knows. The changed one's values are the conditions' names, unless the table says
 * them beside the names.
 */
export function settingsOf(plan: Plan): Setting[] {
  const changed = changedFactor(plan)
  const spelledOut = changed !== undefined && activeConditions(plan).some(({ id }) => id in changed.exceptions)
  return activeConditions(plan).map((condition) => ({
    condition: condition.id,
    values: Object.fromEntries(
      plan.factors.map((factor) => [
        factor.id,
        factor.id === plan.changed && !spelledOut
          ? spelled(String(conditionValue(plan, condition) ?? condition.label))
          : spelled(settingOf(factor, condition.id) || 'the same'),
      ]),
    ),
  }))
}

/** The fair check of a plan; undefined while nothing is chosen to change. */
export const checkPlan = oncePer((plan: Plan): FairCheck | undefined => {
  const changed = changedFactor(plan)
  if (!changed) return undefined
  const comesWith = comingFactors(plan).map(({ id }) => id)
  const factors = plan.factors.flatMap(({ id }) => (comesWith.includes(id) ? [] : [id]))
  const check = { ...checkFairness(settingsOf(plan), factors, changed.id), unsaid: unsaidOf(plan), comesWith }
  const second = plan.seriesFactor
  return second === null || seriesIn(plan).length === 0 ? check : bothWays(plan, check, factors, second)
})

/**
 * Within a series what is changed differs and nothing else, across series at one level what makes the series differ and nothing else. Pairs that differ in
 * both are no comparison that anybody makes.
 */
function bothWays(plan: Plan, check: FairCheck, factors: string[], second: string): FairCheck {
  const across = checkFairness(settingsOf(plan), factors, second)
  const isSame = ({ a, b }: Pair) => seriesOfCondition(plan, a)?.id === seriesOfCondition(plan, b)?.id
  const isLevel = ({ a, b }: Pair) => !isSame({ a, b } as Pair) && atLevel(plan, a).includes(b)
  const pairs = [...check.pairs.filter(isSame), ...across.pairs.filter(isLevel)]
  const other = ({ factor }: { factor: string }) => factor !== second
  return {
    fair: pairs.length > 0 && pairs.every(({ status }) => status === 'fair'),
    unsaid: check.unsaid,
    comesWith: check.comesWith,
    pairs,
    differing: check.differing.filter(other),
    unknown: check.unknown.filter(other),
    fairAmong: check.fairAmong,
    otherQuestions: check.otherQuestions.filter(other),
  }
}

/** Things to keep the same without a number or a habit how, neither for all nor for each condition in the table. */
export function unsaidOf(plan: Plan): string[] {
  const active = activeConditions(plan)
  const isInTable = ({ exceptions }: Factor) => active.length > 0 && active.every(({ id }) => id in exceptions)
  return keptFactors(plan)
    .filter((factor) => (factor.how.trim() === '' || isVague(factor.how)) && !isInTable(factor))
    .map(({ id }) => id)
}

function spelled(value: string): string | null {
  const text = value.trim().toLowerCase().replace(/\s+/g, ' ')
  return text === '' || text === UNKNOWN ? null : text
}
