import { measuredCard, type Measure, type Plan } from '../lesson'
import { kindOf } from './kinds'
import { asViewOf } from './views'

/** No trial is read for more things than these: a child does one after the other. */
export const MOST_MEASURED = 3

/**
 * What is measured on every trial: the card that came into the tray first, and those beside it. What is put in an order has one.
 * @example measuredCards(soakUpPlan()).map(({ name }) => name) // => ['how high water climbs in 60 s']
 */
export function measuredCards(plan: Plan): Measure[] {
  const first = measuredCard(plan)
  if (!first || !kindOf(plan).measuresSeveral) return first ? [first] : []
  const beside = plan.alsoMeasured.flatMap((id) => plan.measures.find((one) => one.id === id && id !== first.id) ?? [])
  return [first, ...beside]
}

/**
 * When and where a reading was taken, whatever it is of.
 * @example withoutMark('t5p2@seconds') // => 't5p2'
 */
export function withoutMark(moment: string): string {
  return moment.split('@')[0]!
}

/** Which card the readings without a mark belong to. */
function unmarkedCard({ unmarked, measures, measured }: Plan): string | null {
  return measures.some(({ id }) => id === unmarked) ? unmarked : measured
}

/**
 * What stands behind the moment of a reading to say which card it belongs to; nothing for the card that was there first.
 * @example markOf(inTwoMeasures, 'seconds') // => '@seconds'
 */
export function markOf(plan: Plan, measure: string): string {
  return measure === unmarkedCard(plan) ? '' : `@${measure}`
}

/**
 * Is something about the card of this view: it says which, or it is about the one whose readings carry no mark.
 * @example isAboutMeasured(soakUpPlan(), { measure: null }) // => true
 */
export function isAboutMeasured(view: Plan, { measure }: { measure: string | null }): boolean {
  return (measure ?? unmarkedCard(view)) === view.measured
}

/** What a row says of the card of this view: null for the one without a mark. `measureSaid(soakUpPlan()) // null` */
export function measureSaid(view: Plan): string | null {
  return view.measured === unmarkedCard(view) ? null : view.measured
}

const seen = new WeakMap<Plan, Map<string, Plan>>()

/**
 * The lesson as one measure sees it: the same test with this one card in the tray. Whatever is worked out of one measure is worked out of this plan, and
 * only this measure's readings count in it.
 * @example forMeasure(soakUpPlan(), soakUpPlan().measured).alsoMeasured // => []
 */
export function forMeasure(plan: Plan, measure: string | null | undefined): Plan {
  if (measure === null || measure === undefined || (plan.alsoMeasured.length === 0 && measure === plan.measured)) return plan
  const views = seen.get(plan) ?? new Map<string, Plan>()
  seen.set(plan, views)
  const view = views.get(measure) ?? asViewOf(plan, { ...plan, measured: measure, alsoMeasured: [], unmarked: unmarkedCard(plan) })
  views.set(measure, view)
  return view
}

/**
 * The lesson as the measure of a reading sees it, by the mark in the reading's moment.
 * @example atMoment(inTwoMeasures, '@seconds').measured // => 'seconds'
 */
export function atMoment(plan: Plan, moment: string): Plan {
  const [, marked] = moment.split('@')
  const measure = marked ?? unmarkedCard(plan)
  return plan.measures.some(({ id }) => id === measure) ? forMeasure(plan, measure) : plan
}

/**
 * The lesson as each of its measures sees it, in the order of the tray.
 * @example eachMeasure(inTwoMeasures).map(({ measured }) => measured) // => ['height', 'seconds']
 */
export function eachMeasure(plan: Plan): Plan[] {
  const cards = measuredCards(plan)
  return cards.length === 0 ? [plan] : cards.map(({ id }) => forMeasure(plan, id))
}

/**
 * The plan with one card more in the Measure tray. Readings that were there before stay those of the card that was there before.
 * @example withMeasuredToo({ ...soakUpPlan(), measured: null }, 'weight').measured // => 'weight'
 */
export function withMeasuredToo(plan: Plan, measure: string): Plan {
  const cards = measuredCards(plan).map(({ id }) => id)
  if (cards.includes(measure) || cards.length >= MOST_MEASURED) return plan
  if (plan.measured === null) return { ...plan, measured: measure }
  return { ...plan, alsoMeasured: [...plan.alsoMeasured, measure], unmarked: unmarkedCard(plan) }
}

/**
 * The plan with a card as its first measure: one that lies in the tray goes in front, another takes the place of the first.
 * @example withFirstMeasured(soakUpPlan(), 'weight').measured // => 'weight'
 */
export function withFirstMeasured(plan: Plan, measure: string): Plan {
  if (!plan.alsoMeasured.includes(measure)) return { ...plan, measured: measure }
  const others = measuredCards(plan).flatMap(({ id }) => (id === measure ? [] : [id]))
  return { ...plan, measured: measure, alsoMeasured: others }
}

/**
 * The plan with a card taken out of the Measure tray; the next one takes its place.
 * @example withoutMeasured(inTwoMeasures, 'height').measured // => 'seconds'
 */
export function withoutMeasured(plan: Plan, measure: string): Plan {
  const alsoMeasured = plan.alsoMeasured.filter((id) => id !== measure)
  if (plan.measured !== measure) return { ...plan, alsoMeasured }
  const [next = null, ...rest] = alsoMeasured
  return { ...plan, measured: next, alsoMeasured: rest }
}

/**
 * Is there room for one card more in the Measure tray, beside what is measured already.
 * @example mayMeasureMore(soakUpPlan()) // => true
 */
export function mayMeasureMore(plan: Plan): boolean {
  const { length } = measuredCards(plan)
  return kindOf(plan).measuresSeveral && length > 0 && length < MOST_MEASURED
}

/**
 * What somebody made of the lesson as one measure sees it, taken back into the whole lesson.
 * @param view the plan that was changed
 */
export function backIntoWhole(whole: Plan, view: Plan, changed: Plan): Plan {
  const { measured, alsoMeasured, unmarked } = whole
  if (changed.measured === view.measured) return { ...changed, measured, alsoMeasured, unmarked }
  // Another card was taken in its place.
  const swap = (id: string | null) => (id === view.measured ? changed.measured : id)
  return { ...changed, measured: swap(measured), alsoMeasured: alsoMeasured.flatMap((id) => swap(id) ?? []), unmarked }
}
