import { activeConditions, levelName, withLabel, type Condition, type Plan, type Series } from '../lesson'
import { kindOf } from './kinds'
import { eachMeasure } from './measures'
import { asViewOf, wholeOf } from './views'

/** So many lines can be told apart on one graph. */
export const MOST_SERIES = 4

/**
 * The values of the second thing that differs on purpose, each with its own conditions; none in most lessons.
 * @example seriesIn(soakUpPlan()) // => []
 */
export function seriesIn(plan: Plan): Series[] {
  return plan.series.length > 1 && kindOf(plan).mayHaveSeries ? plan.series : []
}

/**
 * May a second thing differ, too: there is something to compare, and none does yet.
 * @example mayHaveSeries(soakUpPlan()) // => true
 */
export function mayHaveSeries(plan: Plan): boolean {
  return kindOf(plan).mayHaveSeries && plan.series.length === 0 && activeConditions(plan).length > 0
}

/**
 * The series that a condition belongs to.
 * @example seriesOfCondition(inTwoSeries, 'card')!.name // => '2 cm wide'
 */
export function seriesOfCondition(plan: Plan, condition: string): Series | undefined {
  return seriesIn(plan).find(({ conditions }) => conditions.includes(condition))
}

const seen = new WeakMap<Plan, Map<string, Plan>>()

/**
 * The lesson as one series sees it: the test with this series' conditions only, the second factor kept the same. Whatever is worked out within a series is
 * worked out of this plan.
 */
export function forSeries(plan: Plan, { id, name, conditions: own }: Series): Plan {
  const views = seen.get(plan) ?? new Map<string, Plan>()
  seen.set(plan, views)
  const made = () =>
    asViewOf(plan, {
      ...plan,
      conditions: plan.conditions.map((one) => (own.includes(one.id) ? one : { ...one, leftOut: true })),
      factors: plan.factors.map((factor) => (factor.id === plan.seriesFactor ? { ...factor, how: name, exceptions: {} } : factor)),
      series: [],
    })
  const view = views.get(id) ?? made()
  views.set(id, view)
  return view
}

/**
 * The lesson as each of its series sees it; the lesson itself where there are none.
 * @example eachSeries(inTwoSeries).map(({ plan }) => activeConditions(plan).length) // => [4, 4]
 */
export function eachSeries(plan: Plan): { series: Series | undefined; plan: Plan }[] {
  const all = seriesIn(plan)
  if (all.length === 0) return [{ series: undefined, plan }]
  return all.map((series) => ({ series, plan: forSeries(plan, series) }))
}

/**
 * Everything that is asked at once: what each measure and each series sees of the lesson that this is a view of. One view where one thing is asked.
 * @example viewsBeside(forMeasure(inTwoMeasures, 'seconds')).map(({ measured }) => measured) // => ['height', 'seconds']
 */
export function viewsBeside(view: Plan): Plan[] {
  const whole = wholeOf(view)
  return eachMeasure(whole).flatMap((own) => eachSeries(own).map(({ plan }) => plan))
}

/**
 * The lesson as those see it who predict and advise: its first series, where it has several.
 * @example activeConditions(firstSeries(inTwoSeries)).length // => 4
 */
export function firstSeries(plan: Plan): Plan {
  return eachSeries(plan)[0]!.plan
}

/**
 * Conditions of different series that are at the same level, by what they are called, in the order of the plan; a level that only one series has is left out.
 */
export function levelsAcross(plan: Plan): { level: string; bySeries: Map<string, string> }[] {
  const levels = new Map<string, Map<string, string>>()
  const names = new Map<string, string>()
  for (const condition of activeConditions(plan)) {
    const series = seriesOfCondition(plan, condition.id)
    if (!series) continue
    const key = levelName(plan, condition).toLowerCase()
    const bySeries = levels.get(key) ?? new Map<string, string>()
    levels.set(key, bySeries.set(series.id, condition.id))
    names.set(key, names.get(key) ?? levelName(plan, condition))
  }
  return [...levels].filter(([, { size }]) => size > 1).map(([key, bySeries]) => ({ level: names.get(key)!, bySeries }))
}

/** The conditions that every series tests: those of the first one, or all where there are no series. */
export function baseConditions(plan: Plan): Condition[] {
  const [first] = seriesIn(plan)
  return first ? plan.conditions.filter(({ id }) => first.conditions.includes(id)) : plan.conditions
}

/**
 * The plan with every condition in each of these series. The conditions that are there become those of the first one and keep their readings.
 * @param names two to four values of the second factor
 * @param newId makes the ids of what is new
 * @example withSeries(soakUpPlan(), 'width', ['2 cm', '4 cm'], newId).conditions.length // => 8
 */
export function withSeries(plan: Plan, factor: string, names: string[], newId: () => string): Plan {
  const chosen = names.slice(0, MOST_SERIES)
  if (seriesIn(plan).length > 0 || chosen.length < 2) return plan
  const [own, ...others] = chosen
  const first: Series = { id: newId(), name: own!, conditions: plan.conditions.map(({ id }) => id) }
  const begun: Plan = { ...plan, seriesFactor: factor, series: [first] }
  return withSettings(others.reduce((grown, name) => copied(grown, first, { id: newId(), name, conditions: [] }, newId), begun))
}

/** The plan with one series more, in the levels of the first. */
export function withOneSeriesMore(plan: Plan, name: string, newId: () => string): Plan {
  const [first] = plan.series
  if (!first || plan.series.length >= MOST_SERIES) return plan
  return withSettings(copied(plan, first, { id: newId(), name, conditions: [] }, newId))
}

/** The plan with a series called otherwise. */
export function withSeriesName(plan: Plan, id: string, name: string): Plan {
  return withSettings({ ...plan, series: plan.series.map((one) => (one.id === id ? { ...one, name } : one)) })
}

/**
 * The plan without a series: its conditions are taken away, or left out where something was written about them. With one left there are no series any more.
 * @param used conditions that somebody wrote something about
 */
export function withoutSeries(plan: Plan, id: string, used: Set<string>): Plan {
  const gone = new Set(plan.series.find((one) => one.id === id)?.conditions)
  // What the kit has for one of its conditions stays for that level in another series.
  const stays = (condition: string | null) =>
    condition !== null && gone.has(condition) ? (atLevel(plan, condition).find((one) => !gone.has(one)) ?? condition) : condition
  const materials = plan.materials.map((one) => ({ ...one, condition: stays(one.condition) }))
  const series = plan.series.filter((one) => one.id !== id)
  const conditions = plan.conditions
    .filter((one) => !gone.has(one.id) || used.has(one.id))
    .map((one) => (gone.has(one.id) ? { ...one, leftOut: true } : one))
  const left = { ...plan, series, conditions, materials }
  return withSettings(series.length > 1 ? left : withOnlySeries(left))
}

/** One value of the second factor is how that factor is kept the same. */
function withOnlySeries(plan: Plan): Plan {
  const name = plan.series[0]?.name ?? ''
  const factors = plan.factors.map((one) => (one.id === plan.seriesFactor ? { ...one, how: name, exceptions: {} } : one))
  return { ...plan, factors, series: [], seriesFactor: null }
}

/**
 * A condition and those of other series that are at its level.
 * @example atLevel(inTwoSeries, 'card') // => ['card', 's6']
 */
export function atLevel(plan: Plan, id: string): string[] {
  const own = plan.conditions.find((one) => one.id === id)
  if (!own || seriesIn(plan).length === 0) return [id]
  const name = levelName(plan, own).toLowerCase()
  const others = plan.conditions.filter((one) => levelName(plan, one).toLowerCase() === name && seriesOfCondition(plan, one.id))
  return [...new Set([id, ...others.map((one) => one.id)])]
}

/** The plan with a level called otherwise, in every series. */
export function withLevelLabel(plan: Plan, id: string, label: string): Plan {
  return atLevel(plan, id).reduce((renamed, one) => withLabel(renamed, one, label), plan)
}

/** The plan with the conditions of a level changed, in every series. */
export function withLevel(plan: Plan, id: string, change: (condition: Condition) => Condition): Plan {
  const ids = atLevel(plan, id)
  return { ...plan, conditions: plan.conditions.map((one) => (ids.includes(one.id) ? change(one) : one)) }
}

/** The plan without a level, in every series. */
export function withoutLevel(plan: Plan, id: string): Plan {
  const ids = atLevel(plan, id)
  const series = plan.series.map((one) => ({ ...one, conditions: one.conditions.filter((own) => !ids.includes(own)) }))
  return withSettings({ ...plan, series, conditions: plan.conditions.filter((one) => !ids.includes(one.id)) })
}

/** The plan with a condition more in every series. */
export function withConditionInEach(plan: Plan, label: string, newId: () => string): Plan {
  return plan.series.reduce((grown, { id }) => {
    const condition: Condition = { id: newId(), label, baseline: false, leftOut: false }
    const series = grown.series.map((one) => (one.id === id ? { ...one, conditions: [...one.conditions, condition.id] } : one))
    return withSettings({ ...grown, conditions: [...grown.conditions, condition], series })
  }, plan)
}

function copied(plan: Plan, like: Series, series: Series, newId: () => string): Plan {
  const fresh = plan.conditions
    .filter(({ id }) => like.conditions.includes(id))
    .map((one) => ({ old: one.id, made: { ...one, id: newId() } }))
  const of = new Map(fresh.map(({ old, made }) => [old, made.id]))
  const conditions = [...plan.conditions, ...fresh.map(({ made }) => made)]
  const factors = plan.factors.map((factor) => {
    const more = Object.entries(factor.exceptions).flatMap(([id, value]) => (of.has(id) ? [[of.get(id)!, value] as const] : []))
    return more.length === 0 ? factor : { ...factor, exceptions: { ...factor.exceptions, ...Object.fromEntries(more) } }
  })
  return { ...plan, conditions, factors, series: [...plan.series, { ...series, conditions: [...of.values()] }] }
}

/** What a series is called stands in the table of fairness as what its conditions have. */
function withSettings(plan: Plan): Plan {
  const exceptions = Object.fromEntries(plan.series.flatMap(({ name, conditions }) => conditions.map((id) => [id, name])))
  const factors = plan.factors.map((factor) => (factor.id === plan.seriesFactor ? { ...factor, exceptions } : factor))
  return { ...plan, factors }
}
