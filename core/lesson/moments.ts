import type { Plan } from './plan'

/** One of the times or places at which a trial is read; a trial that is read once has the empty moment only. */
export interface Moment {
  id: string
  half: 'before' | 'after' | undefined
  /** In the plan's unit of watching. */
  time: number | undefined
  place: string | undefined
}

const ONCE: Moment[] = [{ id: '', half: undefined, time: undefined, place: undefined }]

/**
 * The moments of one trial, in the order in which they come.
 * @example momentsOf({ kind: 'over-time', watch: { times: [0, 5], places: ['top', 'bottom'] } }).map(({ id }) => id)
 *   // => ['t0p1', 't0p2', 't5p1', 't5p2']
 */
export function momentsOf(plan: Plan): Moment[] {
  if (plan.kind === 'before-after') {
    return (['before', 'after'] as const).map((half) => ({ id: half, half, time: undefined, place: undefined }))
  }
  if (plan.kind !== 'over-time' || plan.watch.times.length === 0) return ONCE
  const places = plan.watch.places.filter((place) => place.trim() !== '')
  const times = [...plan.watch.times].sort((a, b) => a - b)
  return times.flatMap((time): Moment[] =>
    places.length < 2
      ? [{ id: `t${time}`, half: undefined, time, place: places[0] }]
      : places.map((place, index) => ({ id: `t${time}p${index + 1}`, half: undefined, time, place })),
  )
}

/** The moment of a reading, as the plan has it now. */
export function momentOf(plan: Plan, id: string): Moment | undefined {
  return momentsOf(plan).find((moment) => moment.id === id)
}

export const MOST_TIMES = 15
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
