import { drawNormal, type Random } from '../chance'
import { activeConditions, eachMeasure, measuredCard, momentsOf, type Plan, type Reading } from '../lesson'
import { trialsByGroup } from '../arrangement'
import type { UnitCode } from '../quantity'
import { containersFull } from './containers'
import { modelOf, readOff, type Model, type Own } from './model'

/** Whoever keeps it gives it an id and a time. */
type Drawn = Omit<Reading, 'id' | 'at'>

/**
 * What every group of a class might read: every trial of the plan, in each group's own order, with the instrument's marks and its own
 * wobble. Nothing slips, nothing is left out (core/rehearsal).
 * @returns undefined where there is neither a bench nor a guess for everything that is measured
 * @example drawReadings(soakUpPlan(), seededRandom(1))!.length // => 84
 */
export function drawReadings(plan: Plan, random: Random): Drawn[] | undefined {
  const views = eachMeasure(containersFull(plan))
  const models = views.map(modelOf)
  if (models.length === 0 || models.some((model) => model === undefined)) return undefined
  const trials = trialsByGroup(plan)
  return plan.groups.flatMap(({ id: group }) => {
    const own = trials.get(group) ?? []
    const habit = drawNormal(random)
    return views.flatMap((view, place) => {
      const things = new Map(activeConditions(plan).map(({ id }) => [id, thingOf(plan, random)]))
      return readingsOf(view, models[place]!, group, own, (condition) => ({ habit, thing: things.get(condition)! }), random)
    })
  })
}

/** A fresh thing in every trial differs within the trials and not between groups. */
function thingOf(plan: Plan, random: Random): number {
  const z = drawNormal(random)
  return plan.things === 'same' && plan.kind !== 'over-time' ? z : 0
}

function readingsOf(
  plan: Plan,
  model: Model,
  group: string,
  trials: { condition: string; repeat: number }[],
  own: (condition: string) => Own,
  random: Random,
): Drawn[] {
  const method = measuredCard(plan)!.method
  const moments = momentsOf(plan)
  const drawn = trials.map(({ condition, repeat }) => ({ condition, repeat, shown: model.draw(condition, own(condition), random) }))
  if (method.instrument !== 'number') return inPlaces(plan, group, drawn)
  const read = readOff(method)
  const rows: Drawn[] = []
  for (const { condition, repeat, shown } of drawn)
    for (const [at, { id: moment }] of moments.entries())
      rows.push(kept(group, condition, repeat, moment, read(shown[at]!, random), method.unit))
  return rows
}

/** Who came in first, or whose pan went down: the order of what was drawn, 1 for the first. */
function inPlaces(plan: Plan, group: string, drawn: { condition: string; repeat: number; shown: number[] }[]): Drawn[] {
  const heaviestFirst = measuredCard(plan)!.method.instrument === 'balance'
  const [moment] = momentsOf(plan)
  return drawn.map(({ condition, repeat, shown }) => {
    const others = drawn.filter((one) => one.repeat === repeat)
    const ahead = others.filter((one) => (heaviestFirst ? one.shown[0]! > shown[0]! : one.shown[0]! < shown[0]!))
    const value = ahead.length + 1
    return kept(group, condition, repeat, moment!.id, value, 'place')
  })
}

function kept(group: string, condition: string, repeat: number, moment: string, value: number, unit: UnitCode): Drawn {
  return {
    group,
    condition,
    repeat,
    moment,
    practice: false,
    value,
    unit,
    entered: String(value),
    status: 'kept',
    reason: '',
    confirmed: false,
    supersedes: null,
    by: 'station',
  }
}
