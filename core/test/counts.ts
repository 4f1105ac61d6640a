import { unitOf, type ResultUnit } from '../quantity'
import { activeConditions, COUNTED, type Plan } from '../lesson'
import { testOf } from './test'
import type { ResolvedMethod } from './ways'

/** Which figure speaks for a trial: its one reading, or what its readings come to. */
export type Counted = 'reading' | (typeof COUNTED)[number]

/**
 * The figures that can speak for a trial of this kind, the usual one first.
 * @example countedFor(soakUpPlan()) // => ['reading']
 */
export function countedFor(plan: Plan): Counted[] {
  const { kind, way, method, unit } = testOf(plan)
  if (!method) return ['reading']
  const { dimension } = unitOf(unit)
  const addsUp = dimension !== 'temperature'
  // A class that chose a total keeps it.
  const sums = addsUp && (dimension === 'number' || method.eachIs !== 'shown' || method.counts === 'total')
  return kind.counted(plan, { isAmount: way.isAmount, turnsInto: way.turnsInto, addsUp, sums })
}

/**
 * What counts: what the class chose where its kind of test allows it, else the usual one.
 * @example countsOf(soakUpPlan()) // => 'reading'
 */
export function countsOf(plan: Plan): Counted {
  const allowed = countedFor(plan)
  const chosen = testOf(plan).method?.counts
  return allowed.find((one) => one === chosen) ?? allowed[0]!
}

/** The places in which a trial is read, where there are several. */
export function watchedPlaces(plan: Plan): string[] {
  if (!testOf(plan).kind.watches) return []
  const places = plan.watch.places.filter((place) => place.trim() !== '')
  return places.length > 1 ? places : []
}

/**
 * Which of several places counts, 0 for the first, or `apart`: the first less the last. Words are not taken from each other.
 * @returns undefined where a trial is read in one place
 * @example countedPlace(soakUpPlan()) // => undefined
 */
export function countedPlace(plan: Plan): 'apart' | number | undefined {
  const places = watchedPlaces(plan)
  const { method, way } = testOf(plan)
  if (places.length === 0 || !method) return undefined
  const { countsPlace } = method
  if (countsPlace !== null && countsPlace < places.length) return countsPlace
  return way.fromWords || countsOf(plan) === 'until' ? 0 : 'apart'
}

/** What has to be reached, where the time until then counts: of words the last unless another was chosen; undefined until a number is. */
export function countedUntil(plan: Plan): number | undefined {
  const { method, way } = testOf(plan)
  if (!method || countsOf(plan) !== 'until') return undefined
  if (!way.fromWords) return method.countsUntil ?? undefined
  const { countsUntil, words } = method
  return countsUntil !== null && Number.isInteger(countsUntil) && countsUntil >= 1 && countsUntil <= words.length
    ? countsUntil
    : words.length
}

/**
 * The unit of a result: what counts may be a share, a time or so much a day.
 * @example resultUnit(soakUpPlan()) // => 'mm'
 */
export function resultUnit(plan: Plan, counted = countsOf(plan)): ResultUnit {
  const { unit } = testOf(plan)
  if (counted === 'of-100') return 'of-100'
  if (counted === 'until') return plan.watch.unit
  return counted === 'rate' ? `${unit}/${plan.watch.unit}` : unit
}

/** The smallest step between two results, in their unit. `resultMark(soakUpPlan()) // 1` */
export function resultMark(plan: Plan, counted = countsOf(plan)): number {
  const { resolution } = testOf(plan)
  const times = [...plan.watch.times].sort((a, b) => a - b)
  // Finer than its first digit a step of a rate is nothing that anybody reads.
  if (counted === 'rate') return Number((resolution / (times.at(-1)! - times[0]!)).toPrecision(1))
  if (counted === 'until') return Math.min(...times.slice(1).map((time, place) => time - times[place]!))
  return counted === 'of-100' ? 1 : resolution
}

/**
 * Can a result be more or less than nothing, so that nothing at all is worth comparing it with: a change, a loss, a difference.
 * @example canBeNothing(soakUpPlan()) // => false
 */
export function canBeNothing(plan: Plan): boolean {
  const counted = countsOf(plan)
  return ['change', 'loss', 'of-100', 'rate'].includes(counted) || (countedPlace(plan) === 'apart' && counted !== 'until')
}

/**
 * Does only its size count of what can be less than nothing: 3 colder is as much as 3 warmer.
 * @example isBySize(soakUpPlan()) // => false
 */
export function isBySize(plan: Plan): boolean {
  return (testOf(plan).method?.bySize ?? false) && canBeNothing(plan)
}

/** How many marks of the instrument are read for one result, by the sum of their squares: a difference is read twice. */
export function readingsInResult(plan: Plan, method: Pick<ResolvedMethod, 'eachIs'>): number {
  const counted = countsOf(plan)
  const each = method.eachIs === 'shown' ? 1 : 2
  const places = countedPlace(plan) === 'apart' ? 2 : 1
  const times = plan.watch.times.length
  if (counted === 'change' || counted === 'loss') return 2 * each * places
  if (counted === 'rate') return (2 * each * places) / (Math.max(...plan.watch.times) - Math.min(...plan.watch.times)) ** 2
  if (counted === 'total') return times * each * places
  if (counted === 'average') return (each * places) / times
  return each * places
}

/** How a container is named in `empties`. */
export function containerKey({ group, condition }: { group: string; condition: string }): string {
  return `${group}/${condition}`
}

/** Can containers be weighed empty first: what is measured is a mass. `canWeighEmpty(soakUpPlan()) // false` */
export function canWeighEmpty(plan: Plan): boolean {
  const { amount } = testOf(plan)
  return amount !== undefined && unitOf(amount.unit).dimension === 'mass'
}

/**
 * What the container of a group and condition weighs empty: nothing where none is weighed; undefined where it still has to be.
 * @example emptyOf(soakUpPlan(), { group: 'g1', condition: 'card' }) // => 0
 */
export function emptyOf(plan: Plan, container: { group: string; condition: string }): number | undefined {
  const { method } = testOf(plan)
  return method?.weighsEmpty && canWeighEmpty(plan) ? method.empties[containerKey(container)] : 0
}

/**
 * Containers that still have to be weighed empty: what is read in them has no result until then.
 * @example unweighed(soakUpPlan()) // => []
 */
export function unweighed(plan: Plan): { group: string; condition: string }[] {
  const containers = plan.groups.flatMap(({ id: group }) =>
    activeConditions(plan).map(({ id: condition }) => ({ group, condition })),
  )
  return containers.filter((container) => emptyOf(plan, container) === undefined)
}
