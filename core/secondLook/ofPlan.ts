import { orderKindOf, specimensOf } from '../arrangement'
import { checkPlan, FEWEST_LEVELS, GOOD_LEVELS, hiddenComparisons, levelsOf, unsaidOf, type FairCheck } from '../fairness'
import { asksItsOwn, activeConditions, changedFactor, conditionValue, isEachChild, type Plan } from '../lesson'
import { eachSeries, firstSeries, FIRST_TIMES, shapeOf, seriesIn, testOf, kindOf, isBestKnown } from '../test'
import { expectedUnit, misfitOf, outlookOf, waysToSee, WANTED_CHANCE, type LearnedWobble } from '../measuring'
import { readQuantity } from '../quantity'
import { doubtfulRemarks } from '../wonder'
import { go, type Finding, type Fix } from './finding'
import type { TargetPlace } from './target'

/** From so many differing factors on, a set-up is a muddle and not a slip. */
const MUDDLED_FROM = 3
const USUAL_REPEATS = 3
const FEWEST_REPEATS = 2

/** What is wrong with the question and the trays. */
export function findingsOfQuestion(plan: Plan): Finding[] {
  const findings: Finding[] = []
  const active = activeConditions(plan)
  const { noticed, maybe, wondered } = plan.wonder
  if (noticed.length + maybe.length + wondered.length === 0) {
    findings.push({
      code: 'nothing-wondered',
      key: 'nothing-wondered',
      stop: 'wonder',
      severity: 'note',
      fixes: [go('wonder', 'noticed')],
    })
  }
  for (const { remark, words } of doubtfulRemarks(plan)) {
    findings.push({
      code: 'sounds-like-a-guess',
      key: `sounds-like-a-guess/${remark.id}`,
      stop: 'wonder',
      severity: 'note',
      remark: remark.id,
      words,
      fixes: [
        { code: 'move-to-maybe', remark: remark.id },
        { code: 'keep-noticed', remark: remark.id },
      ],
    })
  }
  if (plan.title.trim() === '') {
    findings.push({
      code: 'no-title',
      key: 'no-title',
      stop: 'wonder',
      severity: 'note',
      fixes: [go('wonder', 'title')],
    })
  }
  if (!changedFactor(plan) && shapeOf(plan).needsChange) {
    const choose: Fix[] = plan.factors.slice(0, 1).map((factor) => ({ code: 'choose-change', factor: factor.id }))
    findings.push({
      code: 'nothing-to-change',
      key: 'nothing-to-change',
      stop: 'plan',
      severity: 'wrong',
      fixes: [...choose, go('plan', 'new-factor')],
    })
  }
  if (!testOf(plan).measure) {
    const choose: Fix[] = plan.measures.slice(0, 1).map((measure) => ({ code: 'choose-measure', measure: measure.id }))
    findings.push({
      code: 'nothing-to-measure',
      key: 'nothing-to-measure',
      stop: 'plan',
      severity: 'wrong',
      fixes: [...choose, go('plan', 'new-measure')],
    })
  }
  const misfit = misfitOf(plan)
  if (misfit) {
    findings.push({
      code: 'instrument-misfit',
      key: 'instrument-misfit',
      stop: 'plan',
      severity: 'wrong',
      instrument: misfit.code,
      fixes: [{ code: 'take-instrument', instrument: misfit.code }, go('plan', 'method-tool')],
    })
  }
  const { measure, amount } = testOf(plan)
  if (amount && amount.tool.trim() === '' && !misfit) {
    findings.push({
      code: 'unit-not-said',
      key: 'unit-not-said',
      stop: 'plan',
      severity: 'attention',
      unit: amount.unit,
      fixes: [go('plan', 'method-tool')],
    })
  }
  if (measure && active.length > 1 && !isBestKnown(plan)) {
    findings.push({
      code: 'best-not-said',
      key: 'best-not-said',
      stop: 'plan',
      severity: 'attention',
      fixes: [...(['most', 'least', 'none'] as const).map((best): Fix => ({ code: 'say-best', best })), go('plan', 'best')],
    })
  }
  for (const factor of unsaidOf(plan)) {
    findings.push({
      code: 'how-not-said',
      key: `how-not-said/${factor}`,
      stop: 'plan',
      severity: 'attention',
      factor,
      fixes: [{ code: 'say-how', factor, how: 'one-for-all' }, go('plan', 'how', factor)],
    })
  }
  return findings
}

/** What is wrong with the conditions themselves. */
export function findingsOfConditions(plan: Plan, begun: boolean): Finding[] {
  const shape = shapeOf(plan)
  if (!changedFactor(plan) && shape.needsChange) return []
  const findings: Finding[] = []
  const active = activeConditions(plan)
  const at = { stop: 'plan', severity: 'wrong' } as const
  if (active.length < shape.fewestConditions) {
    findings.push({
      ...at,
      code: 'too-few-conditions',
      key: 'too-few-conditions',
      count: active.length,
      fixes: [go('plan', 'new-condition')],
    })
  } else findings.push(...findingsOfLevels(firstSeries(plan), begun || seriesIn(plan).length > 0))
  for (const condition of active) {
    const remove: Fix = { code: 'remove-condition', condition: condition.id }
    if (condition.label.trim() === '') {
      findings.push({
        ...at,
        code: 'label-empty',
        key: `label-empty/${condition.id}`,
        condition: condition.id,
        fixes: [go('plan', 'condition', condition.id), remove],
      })
    } else if (plan.conditionsAs === 'numbers') {
      const read = readQuantity(condition.label, { unit: plan.conditionUnit })
      if (!read.ok) {
        findings.push({
          ...at,
          code: 'number-unreadable',
          key: `number-unreadable/${condition.id}`,
          condition: condition.id,
          problem: read.code,
          position: read.position,
          fixes: [go('plan', 'condition', condition.id), { code: 'treat-as-kinds' }],
        })
      }
    }
  }
  for (const conditions of eachSeries(plan).flatMap((one) => sameLabels(one.plan))) {
    findings.push({
      ...at,
      code: 'same-label',
      key: `same-label/${conditions.join()}`,
      conditions,
      fixes: [go('plan', 'condition', conditions.at(-1)), { code: 'leave-out', conditions: conditions.slice(1) }],
    })
  }
  return findings
}

/** Numbers: enough of them for a line, evenly spread, wide enough. Once readings stand in the table no number is changed under them. */
function findingsOfLevels(plan: Plan, begun: boolean): Finding[] {
  if (plan.conditionsAs !== 'numbers' || !kindOf(plan).compares) return []
  const count = activeConditions(plan).length
  const levels = levelsOf(plan)
  const fixes = (target: TargetPlace): Fix[] => [
    ...(levels && !begun ? [{ code: 'take-levels', values: levels.suggested } as const] : []),
    go('plan', target),
  ]
  const at = { stop: 'plan' } as const
  if (count < GOOD_LEVELS) {
    const severity = count < FEWEST_LEVELS ? 'attention' : 'note'
    return [{ ...at, severity, code: 'too-few-levels', key: 'too-few-levels', count, fixes: fixes('new-condition') }]
  }
  if (levels?.narrow) {
    const [lowest, highest] = [levels.values[0]!, levels.values.at(-1)!]
    return [{ ...at, severity: 'note', code: 'narrow-levels', key: 'narrow-levels', lowest, highest, fixes: fixes('conditions') }]
  }
  if (!levels?.uneven) return []
  const { values } = levels
  return [{ ...at, severity: 'note', code: 'uneven-levels', key: 'uneven-levels', values, fixes: fixes('conditions') }]
}

/** What makes the comparison unfair: the conditions x factors computation of core/fairness. */
export function findingsOfFairness(plan: Plan): Finding[] {
  const check = kindOf(plan).compares ? checkPlan(plan) : undefined
  if (!check) return []
  if (check.differing.length >= MUDDLED_FROM) return [muddled(plan, check)]
  const fairAmong = check.fairAmong[0] ?? []
  const differing = check.differing.flatMap(({ factor, shares: [usual, ...rest] }) =>
    rest.map((odd): Finding => ({
      code: 'factor-differs',
      key: `factor-differs/${factor}/${odd.conditions.join()}`,
      stop: 'plan',
      severity: 'wrong',
      factor,
      odd,
      usual: usual!.value,
      fairAmong,
      fixes: [
        { code: 'make-factor-same', factor, conditions: odd.conditions },
        ...(activeConditions(plan).length - odd.conditions.length >= 2
          ? [{ code: 'leave-out', conditions: odd.conditions } as const]
          : [go('plan', 'how', factor)]),
        { code: 'comes-with', factor },
      ],
    })),
  )
  const unknown = check.unknown.map(({ factor, conditions }): Finding => ({
    code: 'factor-unknown',
    key: `factor-unknown/${factor}`,
    stop: 'plan',
    severity: 'attention',
    factor,
    conditions,
    fixes: [{ code: 'make-factor-same', factor, conditions }, go('plan', 'how', factor), { code: 'comes-with', factor }],
  }))
  return [...differing, ...unknown]
}

/** So much differs that mending it factor by factor leads nowhere: the largest fair comparison in it does. */
function muddled(plan: Plan, check: FairCheck): Finding {
  const [best] = hiddenComparisons(check, plan.changed!)
  return {
    code: 'muddled',
    key: 'muddled',
    stop: 'plan',
    severity: 'wrong',
    fair: check.pairs.filter((pair) => pair.status === 'fair').length,
    all: check.pairs.length,
    best,
    fixes: [...(best ? [{ code: 'take-comparison', ...best } as const] : []), go('plan', 'fair-check')],
  }
}

/** Will the class see a difference, and are there groups to see it. */
export function findingsOfMeasuring(plan: Plan, learned?: LearnedWobble): Finding[] {
  const findings: Finding[] = []
  const active = activeConditions(plan)
  const at = { stop: 'plan', severity: 'attention' } as const
  // Groups that ask their own questions are in those.
  if (plan.groups.length === 0 && !asksItsOwn(plan)) {
    findings.push({
      ...at,
      severity: 'wrong',
      code: 'no-groups',
      key: 'no-groups',
      fixes: [{ code: 'set-groups', groups: Math.max(2, Math.round(plan.children / 4)) }],
    })
  }
  const { method, kind, way } = testOf(plan)
  if (kind.watches && plan.watch.times.length < 2) {
    findings.push({
      ...at,
      severity: 'wrong',
      code: 'no-times',
      key: 'no-times',
      fixes: [{ code: 'set-times', times: FIRST_TIMES[plan.watch.unit] }, go('plan', 'times')],
    })
  }
  const words = method?.words.filter((word) => word.trim() !== '').length ?? 0
  if (way.fromWords && words < 2) {
    findings.push({
      ...at,
      severity: 'wrong',
      code: 'too-few-words',
      key: 'too-few-words',
      count: words,
      fixes: [{ code: 'set-words', words: way.begun.words ?? [] }, go('plan', 'words')],
    })
  }
  if (plan.arrangement.order === 'blocks' && orderKindOf(plan) === 'blocks') {
    const reason = plan.arrangement.orderReason.trim()
    const fixes: Fix[] = [{ code: 'mix-trials' }, go('clock', 'trial-order')]
    findings.push({ ...at, severity: 'note', code: 'blocks', key: 'blocks', reason, fixes })
  }
  // Where each child measures for itself, the children are the repeats.
  const several = kind.needsRepeats && !isEachChild(plan)
  if (several && plan.repeats < FEWEST_REPEATS) {
    findings.push({
      ...at,
      code: 'one-reading-each',
      key: 'one-reading-each',
      fixes: [{ code: 'set-repeats', repeats: USUAL_REPEATS }],
    })
  } else if (specimensOf(plan) === 'one' && active.length > 1 && kindOf(plan).compares) {
    findings.push({ ...at, code: 'one-group-same-thing', key: 'one-group-same-thing', fixes: [{ code: 'take-fresh' }] })
  } else findings.push(...findingsOfChance(plan, learned))
  return findings
}

/** Will it come out clear: what it takes, and the ways that would do it. */
function findingsOfChance(plan: Plan, learned: LearnedWobble | undefined): Finding[] {
  const outlook = outlookOf(plan, learned)
  const { method } = testOf(plan)
  if (!outlook || !method || outlook.clear >= WANTED_CHANCE) return []
  const ways = waysToSee(plan, learned)
    .slice(0, 2)
    .map((way): Fix => ({ code: 'take-way', way }))
  const fixes = ways.length > 0 ? ways : [go('plan', 'expected')]
  const { closest, total, clear: chance, needed } = outlook
  const at = { stop: 'plan', severity: 'attention', fixes } as const
  return needed === undefined
    ? [{ ...at, code: 'hopeless', key: 'hopeless', closest, total, unit: expectedUnit(plan), chance }]
    : [{ ...at, code: 'too-few-repeats', key: 'too-few-repeats', repeats: plan.repeats, chance, needed }]
}

function sameLabels(plan: Plan): string[][] {
  const byLabel = new Map<string, string[]>()
  for (const condition of activeConditions(plan)) {
    const label = String(conditionValue(plan, condition) ?? condition.label.trim().toLowerCase())
    if (label !== '') byLabel.set(label, [...(byLabel.get(label) ?? []), condition.id])
  }
  return [...byLabel.values()].filter((conditions) => conditions.length > 1)
}
