import { oncePer } from '../chance'
import { kindOf } from './kinds'
import { eachMeasure, markOf } from './measures'
import type { Kind, NamedMoment, Plan } from '../lesson'

/** What a test over time begins with where nobody has said anything else. */
export const FIRST_TIMES = { min: [0, 1, 2, 5], day: [0, 2, 4, 7] }

/** One of the times or places at which a trial is read; a trial that is read once has the empty moment only. */
export interface Moment {
  id: string
  half: 'before' | 'after' | undefined
  /** In the plan's unit of watching. */
  time: number | undefined
  place: string | undefined
  /** What the class calls it, where it has a name instead of a time. */
  name?: string
}

/**
 * The moments of one trial in which the measure is read, in the order in which they come.
 * @example momentsOf(inTwoPlaces).map(({ id }) => id)
 *   // => ['t0p1', 't0p2', 't5p1', 't5p2']
 */
export const momentsOf = oncePer((plan: Plan): Moment[] => {
  const mark = plan.measured === null ? '' : markOf(plan, plan.measured)
  const moments = kindOf(plan).moments(plan)
  return mark === '' ? moments : moments.map((moment) => ({ ...moment, id: `${moment.id}${mark}` }))
})

/**
 * The moments of one trial with all that is measured: one thing after the other at each.
 * @example everyMomentOf(inTwoMeasures).map(({ id }) => id) // => ['', '@seconds']
 */
export const everyMomentOf = oncePer((plan: Plan): Moment[] => {
  const views = eachMeasure(plan)
  if (views.length === 1) return momentsOf(views[0]!)
  const each = views.map(momentsOf)
  return each[0]!.flatMap((_, place) => each.map((moments) => moments[place]!))
})

/**
 * Is a trial read at several times or moments, one after the other.
 * @example isWatched(inTwoPlaces) // => true
 */
export function isWatched(plan: Plan): boolean {
  return kindOf(plan).watches && plan.watch.times.length > 1
}

/**
 * Has each moment a name instead of a time.
 * @example hasNamedMoments(soakUpPlan()) // => false
 */
export function hasNamedMoments({ kind, watch }: Plan): boolean {
  return kindOf({ kind }).watches && watch.named.length > 0
}

/**
 * Is a trial read by the clock: at minutes after its start.
 * @example isReadByClock(inTwoPlaces) // => true
 */
export function isReadByClock(plan: Plan): boolean {
  return kindOf(plan).watches && plan.watch.unit === 'min' && plan.watch.times.length > 0 && !hasNamedMoments(plan)
}

/**
 * Is a trial read on several days, counted from the first.
 * @example watchesOverDays(soakUpPlan()) // => false
 */
export function watchesOverDays({ kind, watch }: { kind: Kind; watch: Pick<Plan['watch'], 'unit'> }): boolean {
  return kindOf({ kind }).watches && watch.unit === 'day'
}

/**
 * The days after the first on which there is something to read; the first alone where it takes one lesson.
 * @example daysOfReading({ kind: 'over-time', watch: { unit: 'day', times: [0, 2, 4] } }) // => [0, 2, 4]
 */
export function daysOfReading(plan: { kind: Kind; watch: Pick<Plan['watch'], 'unit' | 'times'> }): number[] {
  return watchesOverDays(plan) ? plan.watch.times : [0]
}

/**
 * The plan with these moments, each with its name; none brings the times back. The order of the moments stands in for their times.
 * @example withNamedMoments(inTwoPlaces, [{ id: 'n1', name: 'dry', atHome: false }]).watch.times // => [0]
 */
export function withNamedMoments(plan: Plan, named: NamedMoment[]): Plan {
  const times = named.length > 0 ? named.map((_, place) => place) : FIRST_TIMES.min
  return { ...plan, watch: { ...plan.watch, named: named.slice(0, MOST_NAMED), times: times.slice(0, MOST_NAMED), unit: 'min' } }
}

/** The plan with a moment more: its id is one that no moment has. */
export function withNamedMoment(plan: Plan, name: string): Plan {
  const taken = plan.watch.named.map(({ id }) => Number(id.slice(1)))
  const id = `n${Math.max(0, ...taken) + 1}`
  return plan.watch.named.length >= MOST_NAMED ? plan : withNamedMoments(plan, [...plan.watch.named, { id, name, atHome: false }])
}

/** The moment of a reading, as the plan has it now. */
export function momentOf(plan: Plan, id: string): Moment | undefined {
  return everyMomentOf(plan).find((moment) => moment.id === id)
}

export const MOST_TIMES = 15
export const MOST_NAMED = 12
export const MOST_PLACES = 5
export const MOST_WORDS = 12

/**
 * Names with commas between them, each once.
 * @example readNames('top, bottom,, top', 5) // => ['top', 'bottom']
 */
export function readNames(text: string, most: number): string[] {
  const names = text.split(',').map((name) => name.trim().slice(0, 200))
  return [...new Set(names.filter((name) => name !== ''))].slice(0, most)
}

/**
 * Times of watching as people write them, in order and each once; undefined when there is something else in it.
 * @example readTimes('5, 0 and 1') // => [0, 1, 5]
 */
export function readTimes(text: string): number[] | undefined {
  const parts = text.split(/\s*(?:,\s|;|\band\b|\s)\s*|,(?=\S)/).filter((part) => part !== '')
  const times = parts.map((part) => (/^\d{1,4}(?:\.\d{1,2})?$/.test(part) ? Number(part) : Number.NaN))
  if (times.some((time) => Number.isNaN(time) || time > 1000)) return undefined
  return [...new Set(times)].sort((a, b) => a - b).slice(0, MOST_TIMES)
}
