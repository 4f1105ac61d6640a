import { arrangementOf, circuitOf } from '../arrangement'
import { withoutNoise } from '../quantity'
import { type Plan } from '../lesson'
import { isReadByClock } from '../test'
import { jarsOf, timetableOf, type Jar } from './fit'

/** What is to be done soon while the class tests; `seconds` from now, below zero when it has just come due. */
export type Coming =
  | { what: 'start' | 'read'; jar: Jar; place: number; minute: number; seconds: number }
  | { what: 'move'; group: string; station: string; copy: number | undefined; seconds: number }

/** What has come due stays up for so long. */
const STAYS = 20

/**
 * What comes next by the plan's own timetable, the soonest first: jars to be started and read where the class watches over
 * minutes, stations to go to in a circuit. Any other test has no timetable.
 * @param elapsed seconds since testing began
 * @example comingUp({ ...plan, kind: 'over-time', watch: { ...plan.watch, times: [0, 2] } }, 100)[0]
 *   // => { what: 'read', jar: { condition: 'tissue', repeat: 1 }, minute: 0, seconds: -10, … }
 */
export function comingUp(plan: Plan, elapsed: number): Coming[] {
  const all = isReadByClock(plan) ? readingsOf(plan) : arrangementOf(plan) === 'circuit' ? movesOf(plan) : []
  return all
    .map((one) => ({ ...one, seconds: withoutNoise(one.seconds - elapsed) }))
    .filter(({ seconds }) => seconds > -STAYS)
    .sort((a, b) => a.seconds - b.seconds)
}

/** Is this one about a group, or about every group alike? */
export function concerns(coming: Coming, group: string): boolean {
  return coming.what === 'move' ? coming.group === group : (coming.jar.group ?? group) === group
}

function readingsOf(plan: Plan): Coming[] {
  const jars = jarsOf(plan)
  const times = [...plan.watch.times].sort((a, b) => a - b)
  const { starts, readings } = timetableOf(plan)
  const begun = starts.map((start, place): Coming => ({ what: 'start', jar: jars[place]!, place, minute: 0, seconds: start * 60 }))
  const read = readings.map(({ jar, time, start }): Coming => ({
    what: 'read',
    jar: jars[jar]!,
    place: jar,
    minute: times[time]!,
    seconds: start * 60,
  }))
  // A jar that is read at once is not announced twice.
  return [...begun.filter(({ seconds }, jar) => !(times[0] === 0 && starts[jar]! * 60 === seconds)), ...read]
}

function movesOf(plan: Plan): Coming[] {
  const { stations, visits } = circuitOf(plan)
  return visits.map(({ group, station, copy, start }): Coming => ({
    what: 'move',
    group: plan.groups[group]!.id,
    station: stations[station]!.id,
    copy: stations[station]!.copies > 1 ? copy : undefined,
    seconds: start,
  }))
}
