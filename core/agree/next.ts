import { activeConditions, begunAnew, levelName, type Condition, type Factor, type Plan } from '../lesson'
import { chooseWondering } from '../wonder'
import { testOf, withMethod } from '../test'

/** What could be tested next: a wondering kept for later, or a card that nobody has changed yet. */
export type NextTest =
  { from: 'wondering'; id: string; text: string } | { from: 'factor'; id: string; factor: string; measure: string }

/** What could be tested next, the class's own wonderings first. */
export function nextTests(plan: Plan): NextTest[] {
  const later = plan.wonder.wondered.filter(({ later, id }) => later && id !== plan.asked.chosen)
  const wonderings = later.map(({ id, text }): NextTest => ({ from: 'wondering', id, text }))
  const measure = testOf(plan).measure?.name
  if (!measure || activeConditions(plan).length === 0) return wonderings
  const factors = plan.factors.filter(({ id }) => id !== plan.changed && id !== plan.seriesFactor)
  return [...wonderings, ...factors.map(({ id, name }): NextTest => ({ from: 'factor', id, factor: name, measure }))]
}

/**
 * The next lesson, as far as this one can plan it: the same class, kit, measure and habits; the chosen card lies in Change, and what was changed before
 * is kept the same, as the condition that came first (or the baseline) had it. Conditions, day and everything said about single groups begin anew.
 * @param kept the condition that the old change stays at
 */
export function planNext(plan: Plan, next: NextTest, kept: string | undefined, newId: () => string): Plan {
  const stays = plan.conditions.find(({ id, baseline }) => (kept === undefined ? baseline : id === kept))
  const fresh: Plan = {
    ...withMethod(begunAnew(plan), (method) => ({ ...method, expected: {}, expectedFrom: 'guess' })),
    date: '',
    notes: '',
    investigation: null,
    changed: null,
    conditions: [],
    unmarked: null,
    seriesFactor: null,
    series: [],
    conditionsAs: 'kinds',
    factors: plan.factors.map((factor) => ({ ...factor, how: howNext(plan, factor, stays), exceptions: {}, comesWith: false })),
    materials: plan.materials.filter(({ condition }) => condition === null).map((one) => ({ ...one, toBuy: false })),
    cautionsAcknowledged: [],
    graph: null,
    groupNotes: {},
    groups: plan.groups.map((group) => ({ ...group, away: [], wondering: null })),
    asked: { whose: plan.asked.whose, chosen: null },
    wonder: { ...plan.wonder, hook: '', pictures: [], noticed: [], maybe: [], takenAway: [] },
    arrangement: { ...plan.arrangement, copies: {}, draw: 0 },
  }
  if (next.from === 'wondering') return { ...chooseWondering(fresh, next.id, newId), title: next.text.slice(0, 200) }
  const factors = fresh.factors.map((factor) => (factor.id === next.id ? { ...factor, how: '' } : factor))
  return { ...fresh, factors, changed: next.id, title: `Next: ${next.factor}`.slice(0, 200) }
}

/** How the next lesson keeps a factor: what was changed as the condition that stays had it, a second factor as the first series had it. */
function howNext(plan: Plan, factor: Factor, stays: Condition | undefined): string {
  if (factor.id === plan.seriesFactor) return plan.series[0]?.name ?? factor.how
  return factor.id === plan.changed && factor.how === '' && stays ? levelName(plan, stays) : factor.how
}
