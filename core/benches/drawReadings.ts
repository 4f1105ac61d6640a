import { drawNormal, oncePer, type Random } from '../chance'
import { activeConditions, ownerOf, type Plan, type Reading, type Measure } from '../lesson'
import { comesAgain, eachMeasure, momentsOf, testOf, resolved, withMethodOn } from '../test'
import { specimensOf, trialsByGroup } from '../arrangement'
import type { UnitCode } from '../quantity'
import { modelOf, readOff, type Model, type Own } from './model'

/** A made-up row; whoever keeps it gives it an id and a time. */
export type MadeUpRow = Omit<Reading, 'id' | 'at'>

/** The plan without weighing containers empty: what is drawn is what is in them. */
export const withoutContainers = oncePer((plan: Plan): Plan => {
  if (!plan.measures.some(({ method }) => resolved(method).weighsEmpty)) return plan
  const without = (measure: Measure) => withMethodOn(measure, (method) => ({ ...method, weighsEmpty: false }))
  return { ...plan, measures: plan.measures.map(without) }
})

/** Each measure's own view of the plan with its model; undefined where there is neither a bench nor a guess for one of them. */
const modelsOf = oncePer((plan: Plan): { view: Plan; model: Model }[] | undefined => {
  const models = eachMeasure(plan).map((view) => ({ view, model: modelOf(view) }))
  const whole = models.length > 0 && models.every(({ model }) => model !== undefined)
  return whole ? (models as { view: Plan; model: Model }[]) : undefined
})

/**
 * What every group of a class might read: every trial of the plan, in each group's own order, with the instrument's marks and its own
 * wobble. Nothing slips, nothing is left out (core/rehearsal), and no container is weighed empty.
 * @returns undefined where there is neither a bench nor a guess for everything that is measured
 * @example drawReadings(soakUpPlan(), seededRandom(1))!.length // => 84
 */
export function drawReadings(whole: Plan, random: Random): MadeUpRow[] | undefined {
  const plan = withoutContainers(whole)
  const models = modelsOf(plan)
  if (!models) return undefined
  const trials = trialsByGroup(plan)
  // A fresh thing in every trial differs within the trials and not between groups; one that all look at differs from its kind and not between groups either.
  const specimens = specimensOf(plan)
  const drawThings = (drawn: boolean) => new Map(activeConditions(plan).map(({ id }) => [id, drawn ? drawNormal(random) : 0]))
  const ofClass = models.map(() => drawThings(specimens === 'one'))
  const ofOwner = new Map<string, Map<string, number>[]>()
  return plan.groups.flatMap(({ id: group }) => {
    const own = trials.get(group) ?? []
    const habit = drawNormal(random)
    const owner = ownerOf(plan, group)
    return models.flatMap(({ view, model }, place) => {
      const drawn = ofOwner.get(owner) ?? []
      ofOwner.set(owner, drawn)
      const things = specimens === 'one' ? ofClass[place]! : (drawn[place] ??= drawThings(comesAgain(plan) || owner !== group))
      return readingsOf(view, model, group, own, (condition) => ({ habit, thing: things.get(condition)! }), random)
    })
  })
}

function readingsOf(
  plan: Plan,
  model: Model,
  group: string,
  trials: { condition: string; repeat: number }[],
  own: (condition: string) => Own,
  random: Random,
): MadeUpRow[] {
  const { amount, way, unit } = testOf(plan)
  const moments = momentsOf(plan)
  const drawn = trials.map(({ condition, repeat }) => ({ condition, repeat, shown: model.draw(condition, own(condition), random) }))
  if (way.isPlace) return inPlaces(plan, group, drawn)
  const read = amount ? readOff(amount) : (value: number) => value
  const rows: MadeUpRow[] = []
  for (const { condition, repeat, shown } of drawn)
    for (const [at, { id: moment }] of moments.entries())
      rows.push(madeUpRow({ group, condition, repeat, moment }, read(shown[at]!, random), unit))
  return rows
}

/** Who came in first, or whose pan went down: the order of what was drawn, 1 for the first. */
function inPlaces(plan: Plan, group: string, drawn: { condition: string; repeat: number; shown: number[] }[]): MadeUpRow[] {
  const heaviestFirst = testOf(plan).way.weighsTwo
  const [moment] = momentsOf(plan)
  return drawn.map(({ condition, repeat, shown }) => {
    const others = drawn.filter((one) => one.repeat === repeat)
    const ahead = others.filter((one) => (heaviestFirst ? one.shown[0]! > shown[0]! : one.shown[0]! < shown[0]!))
    const value = ahead.length + 1
    return madeUpRow({ group, condition, repeat, moment: moment!.id }, value, 'place')
  })
}

/** A kept row of a place, as a station would write it. All in one literal: many thousands of them are made. */
export function madeUpRow(
  { group, condition, repeat, moment }: Pick<Reading, 'group' | 'condition' | 'repeat' | 'moment'>,
  value: number,
  unit: UnitCode,
): MadeUpRow {
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
