import { oncePerPair } from '../chance'
import { mean } from 'simple-statistics'
import { activeConditions, measuredCard, momentsOf, type Moment, type Plan, type Reading } from '../lesson'
import { withoutNoise } from '../quantity'
import { countedReadings } from './readings'

/** What one trial says about its condition, worked out where it is read more than once. */
export interface TrialResult {
  group: string
  condition: string
  repeat: number
  value: number
}

/**
 * One result a trial: the reading itself; after less before; or what it had come to at the last time that anybody has
 * read so far, its places averaged. A trial that lacks a reading for that has no result yet. Several readings in one place each make a result of their
 * own where a trial is read once, and are averaged elsewhere.
 * @example trialResults({ ...plan, kind: 'before-after' }, [reading({ moment: 'before', value: 68 }), reading({ moment: 'after', value: 61 })])
 *   // => [{ value: -7, … }]
 */
export const trialResults = oncePerPair((plan: Plan, readings: Reading[]): TrialResult[] => {
  const counted = countedReadings(plan, readings)
  if (plan.kind !== 'before-after' && plan.kind !== 'over-time') return counted
  const last = lastReadSoFar(plan, counted)
  const trials = new Map<string, Reading[]>()
  for (const reading of counted) {
    const key = `${reading.group}/${reading.condition}/${reading.repeat}`
    trials.set(key, [...(trials.get(key) ?? []), reading])
  }
  return [...trials.values()].flatMap((own) => {
    const value = plan.kind === 'before-after' ? changeOf(own) : valueAt(last, own)
    const { group, condition, repeat } = own[0]!
    return value === undefined ? [] : [{ group, condition, repeat, value }]
  })
})

/** The moments of the latest time that has a reading: watching goes on for days, and results are looked at before the last one. */
function lastReadSoFar(plan: Plan, counted: Reading[]): Moment[] {
  const read = new Set(counted.map(({ moment }) => moment))
  const moments = momentsOf(plan)
  const latest = moments.findLast(({ id }) => read.has(id))?.time
  return moments.filter(({ time }) => time === latest)
}

/** Readings of trials that were read before and after: half a trial would shift one average and not the other. */
export function wholeTrials(readings: Reading[]): Reading[] {
  const key = ({ group, condition, repeat }: Reading) => `${group}/${condition}/${repeat}`
  const having = (half: string) => new Set(readings.filter(({ moment }) => moment === half).map(key))
  const [before, after] = [having('before'), having('after')]
  return readings.filter((reading) => before.has(key(reading)) && after.has(key(reading)))
}

function changeOf(own: Reading[]): number | undefined {
  const [before, after] = [averageAt(own, 'before'), averageAt(own, 'after')]
  return before === undefined || after === undefined ? undefined : withoutNoise(after - before)
}

function valueAt(last: Moment[], own: Reading[]): number | undefined {
  const values = last.map(({ id }) => averageAt(own, id))
  return values.every((value) => value !== undefined) ? withoutNoise(mean(values as number[])) : undefined
}

function averageAt(own: Reading[], moment: string): number | undefined {
  const values = own.filter((reading) => reading.moment === moment).map(({ value }) => value)
  return values.length === 0 ? undefined : mean(values)
}

/** Average result of every condition that has one, by condition id. */
export function averageResults(plan: Plan, readings: Reading[]): Record<string, number> {
  const results = trialResults(plan, readings)
  return Object.fromEntries(
    activeConditions(plan).flatMap(({ id }) => {
      const values = results.filter((one) => one.condition === id).map(({ value }) => value)
      return values.length === 0 ? [] : [[id, mean(values)]]
    }),
  )
}

/** How often each of the ordered words was chosen, condition by condition. `[{ condition: 'sink', counts: [0, 2, 5] }]` */
export function wordCounts(plan: Plan, readings: Reading[]): { condition: string; counts: number[] }[] {
  const words = measuredCard(plan)?.method.words ?? []
  const counted = countedReadings(plan, readings)
  return activeConditions(plan).map(({ id: condition }) => ({
    condition,
    counts: words.map((_, place) => counted.filter((one) => one.condition === condition && one.value === place + 1).length),
  }))
}

export interface MomentAverage {
  condition: string
  moment: string
  average: number
  count: number
}

/** Averages at each moment, over all groups and repeats, in the order of conditions and moments; before and after of whole trials only. */
export function averagesByMoment(plan: Plan, readings: Reading[]): MomentAverage[] {
  const all = countedReadings(plan, readings)
  const counted = plan.kind === 'before-after' ? wholeTrials(all) : all
  return activeConditions(plan).flatMap(({ id: condition }) =>
    momentsOf(plan).flatMap(({ id: moment }) => {
      const values = counted.filter((one) => one.condition === condition && one.moment === moment).map(({ value }) => value)
      return values.length === 0 ? [] : [{ condition, moment, average: mean(values), count: values.length }]
    }),
  )
}
