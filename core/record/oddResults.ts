import { mean, median } from 'simple-statistics'
import {
  MOST_TRIALS,
  activeConditions,
  keptFactors,
  type LessonEvent,
  type LessonRecord,
  type Observation,
  type Plan,
  type Reading,
} from '../lesson'
import { momentsOf } from '../test'
import { doubtsAmong } from './check'
import { isSlip, type Doubt } from './slips'
import { countedReadings, currentReadings, historyOf } from './readings'

/** What may lie behind an odd result; somebody who was there has to judge. */
export type Explanation =
  | { code: 'said'; reason: string }
  | { code: 'slip'; suggested: number }
  | { code: 'observed'; observation: Observation }
  | { code: 'factor-unknown'; factor: string }
  | { code: 'factor-differs'; factor: string; value: string }
  | { code: 'station-moved' }
  | { code: 'paused' }
  | { code: 'plan-changed' }
  | { code: 'group-apart'; side: 'above' | 'below' }
  | { code: 'first-trial' }
  | { code: 'rewritten'; times: number }
  | { code: 'factor'; factor: string; how: string }

export interface OddResult {
  reading: Reading
  /** Far from its fellows, with their middle; undefined for one that was set aside and is not far. */
  doubt: Doubt | undefined
  /** Nobody has looked at it yet; kept all the same; set aside. */
  state: 'open' | 'kept' | 'set-aside'
  explanations: Explanation[]
  /** A trial that is to be done once more is planned for it already. */
  retest: boolean
}

/** A group whose other readings lie off by this many of the plan's own steps is apart as a whole. */
const APART_SHARE = 0.8
const FEWEST_OTHERS = 3

/** What the journal has besides the rows of the record, in order. */
type OtherEvents = { at: string; body: LessonEvent }[]

/**
 * Every odd or set-aside result with what may explain it, the likeliest first, in the order of the readings.
 * @param others changes of the plan and of stations, where the journal is at hand
 */
export function oddResults(plan: Plan, record: LessonRecord, others: OtherEvents = []): OddResult[] {
  const active = new Set(activeConditions(plan).map(({ id }) => id))
  const groups = new Set(plan.groups.map(({ id }) => id))
  const counted = countedReadings(plan, record.readings)
  const moments = new Set(momentsOf(plan).map(({ id }) => id))
  const current = currentReadings(record.readings).filter(
    ({ practice, condition, group, moment }) => !practice && active.has(condition) && groups.has(group) && moments.has(moment),
  )
  const doubts = new Map(doubtsAmong(plan, record.readings, current).map((found) => [found.reading.id, found.doubts]))
  return current.flatMap((reading) => {
    const doubt = doubts.get(reading.id)?.find(({ code }) => code !== 'too-fine')
    if (!doubt && reading.status === 'kept') return []
    const state = reading.status === 'set-aside' ? 'set-aside' : reading.confirmed ? 'kept' : 'open'
    const explanations = explain(plan, record, reading, doubt, counted, others)
    return [{ reading, doubt, state, explanations, retest: hasRetest(plan, reading) }]
  })
}

function explain(
  plan: Plan,
  record: LessonRecord,
  reading: Reading,
  doubt: Doubt | undefined,
  counted: Reading[],
  others: OtherEvents,
): Explanation[] {
  const found: Explanation[] = []
  if (reading.reason !== '') found.push({ code: 'said', reason: reading.reason })
  else if (doubt && isSlip(doubt) && 'suggested' in doubt) found.push({ code: 'slip', suggested: doubt.suggested })
  for (const observation of record.observations) {
    const { group, condition, repeat, text } = observation
    const here = condition === null || (condition === reading.condition && (repeat === null || repeat === reading.repeat))
    if (group === reading.group && here && text !== '') found.push({ code: 'observed', observation })
  }
  const factors = keptFactors(plan)
  for (const { name, exceptions } of factors) {
    const value = exceptions[reading.condition]
    if (value === '?') found.push({ code: 'factor-unknown', factor: name })
    else if (value) found.push({ code: 'factor-differs', factor: name, value })
  }
  found.push(...happenedBefore(reading, record.readings, others))
  const side = sideOfGroup(reading, counted)
  if (side) found.push({ code: 'group-apart', side })
  if (isFirst(reading, record.readings)) found.push({ code: 'first-trial' })
  const times = historyOf(reading, record.readings).length
  if (times > 0 && reading.status === 'kept') found.push({ code: 'rewritten', times })
  for (const { name, how, exceptions } of factors) {
    if (!exceptions[reading.condition]) found.push({ code: 'factor', factor: name, how })
  }
  return found
}

/** What the journal tells of the time from the group's reading before to this one, as it was first written down. */
function happenedBefore(reading: Reading, readings: Reading[], others: OtherEvents): Explanation[] {
  const written = (historyOf(reading, readings).at(-1) ?? reading).at
  const earlier = readings.filter(({ at }) => at < written)
  const own = earlier.filter(({ group }) => group === reading.group)
  const since =
    own.length > 0
      ? own
          .map(({ at }) => at)
          .sort()
          .at(-1)!
      : earlier.map(({ at }) => at).sort()[0]
  if (since === undefined) return []
  const between = others.filter(({ at }) => at > since && at <= written).map(({ body }) => body)
  const stations = between.filter((body) => body.kind === 'station')
  const found: Explanation[] = []
  if (stations.some(({ change, to }) => change === 'moved' && to === reading.group)) found.push({ code: 'station-moved' })
  if (stations.some(({ change, group }) => change === 'unlocked' && group === reading.group)) found.push({ code: 'paused' })
  if (between.some(({ kind }) => kind === 'plan')) found.push({ code: 'plan-changed' })
  return found
}

/** Do nearly all other readings of this group lie on the same side of their conditions' middles? */
function sideOfGroup(reading: Reading, counted: Reading[]): 'above' | 'below' | undefined {
  const own = counted.filter(
    ({ id, group, condition }) => group === reading.group && id !== reading.id && condition !== reading.condition,
  )
  const sides = own.flatMap((one) => {
    const fellows = counted.filter(
      ({ condition, moment, group }) => condition === one.condition && moment === one.moment && group !== one.group,
    )
    return fellows.length === 0 ? [] : [Math.sign(one.value - median(fellows.map(({ value }) => value)))]
  })
  if (sides.length < FEWEST_OTHERS) return undefined
  const lean = mean(sides)
  return Math.abs(lean) < APART_SHARE ? undefined : lean > 0 ? 'above' : 'below'
}

function isFirst(reading: Reading, readings: Reading[]): boolean {
  const own = currentReadings(readings).filter(({ group, practice }) => group === reading.group && !practice)
  return own.length > 1 && own.every(({ at }) => at >= reading.at) && own[0]?.id === reading.id
}

function hasRetest(plan: Plan, { group, condition }: Reading): boolean {
  return plan.retests.some((one) => one.group === group && one.condition === condition)
}

/**
 * The plan with one trial more for each of these places, whatever becomes of the old readings. A place that has one already gets no
 * second one.
 * @example withRetests(plan, [{ group: 'g1', condition: 'tissue' }]).retests // => [{ group: 'g1', condition: 'tissue', repeat: 4 }]
 */
export function withRetests(plan: Plan, places: { group: string; condition: string }[]): Plan {
  const fresh = new Map(places.map(({ group, condition }) => [`${group}/${condition}`, { group, condition }]))
  const planned = new Set(plan.retests.map(({ group, condition }) => `${group}/${condition}`))
  const added = [...fresh].flatMap(([key, place]) => (planned.has(key) ? [] : [{ ...place, repeat: plan.repeats + 1 }]))
  if (plan.repeats >= MOST_TRIALS) return plan
  // Testing goes on.
  return { ...plan, gapsStay: plan.gapsStay && added.length === 0, retests: [...plan.retests, ...added] }
}

/** The plan without the trials that were to be done once more and were not. */
export function withoutOpenRetests(plan: Plan, readings: Reading[]): Plan {
  const done = new Set(currentReadings(readings).map(({ group, condition, repeat }) => `${group}/${condition}/${repeat}`))
  return { ...plan, retests: plan.retests.filter(({ group, condition, repeat }) => done.has(`${group}/${condition}/${repeat}`)) }
}
