import { oncePer, oncePerPair } from '../chance'
import { mean } from 'simple-statistics'
import { activeConditions, type Plan, type Reading } from '../lesson'
import {
  countedPlace,
  countedUntil,
  countsOf,
  emptyOf,
  isBySize,
  momentsOf,
  withoutMark,
  testOf,
  kindOf,
  type Counted,
  type Moment,
} from '../test'
import { withoutNoise } from '../quantity'
import { countedReadings, readingsByTrial } from './readings'

/** What one trial says about its condition, worked out where it is read more than once. */
export interface TrialResult {
  group: string
  condition: string
  repeat: number
  value: number
}

/**
 * One result a trial, as the class lets it count: the reading itself, or what the readings of the trial come to by the last time that anybody has read so far.
 * A trial that lacks a reading for that has no result yet. A time until something that was not reached is `Infinity`: longer than anybody watched.
 * Several readings in one place each make a result of their own where a trial is read once, and are averaged elsewhere.
 * @example trialResults({ ...plan, kind: 'before-after' }, [reading({ moment: 'before', value: 68 }), reading({ moment: 'after', value: 61 })])
 *   // => [{ value: -7, … }]
 */
export const trialResults = oncePerPair((plan: Plan, readings: Reading[]): TrialResult[] => {
  const signed = signedResults(plan, readings)
  return isBySize(plan) ? bySize(signed) : signed
})

/** The same with its sign, where only the size counts. */
export function signedResults(plan: Plan, readings: Reading[]): TrialResult[] {
  return resultsAs(plan, readings, countsOf(plan))
}

/** Each condition's results towards the side on which its average lies: taken one by one, what wobbles round nothing would have a size, too. */
function bySize(results: TrialResult[]): TrialResult[] {
  const sums = new Map<string, number>()
  for (const { condition, value } of results) sums.set(condition, (sums.get(condition) ?? 0) + value)
  return results.map((one) => ({ ...one, value: sums.get(one.condition)! < 0 ? -one.value : one.value }))
}

/** The same with another figure than the one that counts. */
export function resultsAs(plan: Plan, readings: Reading[], counted: Counted): TrialResult[] {
  const kept = countedReadings(plan, readings)
  if (counted === 'reading') return contentsOf(plan, kept)
  const times = timesReadSoFar(plan, kept)
  const until = counted === 'until' ? countedUntil(plan) : undefined
  return readingsByTrial(plan, readings).flatMap((own) => {
    const empty = emptyOf(plan, own[0]!)
    // What only changes is the same with and without its container.
    const gross = empty === undefined && !['change', 'loss', 'rate'].includes(counted)
    const series = gross ? [] : seriesOf(plan, own)
    const value = counted === 'until' ? timeUntil(series, times, until) : figureOf(counted, series, times)
    const { group, condition, repeat } = own[0]!
    return value === undefined ? [] : [{ group, condition, repeat, value: withoutNoise(value) }]
  })
}

/** What is in its container; one that was not weighed empty has no result yet. */
function contentsOf(plan: Plan, kept: Reading[]): TrialResult[] {
  if (!testOf(plan).method?.weighsEmpty) return kept
  return kept.flatMap((reading) => {
    const empty = emptyOf(plan, reading)
    return empty === undefined ? [] : [{ ...reading, value: withoutNoise(reading.value - empty) }]
  })
}

/** What one trial was at a time: in the place that counts, or the first place less the last. */
interface AtTime {
  time: number
  value: number
}

/** Times of before and after are 0 and 1. */
function timeOf({ time, half }: Moment): number {
  return time ?? (half === 'after' ? 1 : 0)
}

/** The times up to the latest that has a reading: watching goes on for days, and results are looked at before the last one. */
function timesReadSoFar(plan: Plan, counted: Reading[]): number[] {
  const moments = momentsOf(plan)
  const times = [...new Set(moments.map(timeOf))]
  if (kindOf(plan).readsTwice) return times
  const read = new Set(counted.map(({ moment }) => moment))
  const latest = moments.findLast(({ id }) => read.has(id))
  return latest ? times.filter((time) => time <= timeOf(latest)) : []
}

/** The moments of every time, one for each place. */
const momentsByTime = oncePer((plan: Plan): { time: number; ids: string[] }[] => {
  const moments = momentsOf(plan)
  return [...new Set(moments.map(timeOf))].map((time) => ({
    time,
    ids: moments.filter((moment) => timeOf(moment) === time).map(({ id }) => id),
  }))
})

/** What one trial was at each time that it was read, as the place that counts has it. */
export function seriesOf(plan: Plan, own: Reading[]): AtTime[] {
  const place = countedPlace(plan)
  const empty = (own[0] && emptyOf(plan, own[0])) ?? 0
  return momentsByTime(plan).flatMap(({ time, ids }) => {
    const values = ids.map((id) => averageAt(own, id)).map((value) => (value === undefined ? undefined : value - empty))
    const value = place === 'apart' ? apart(values[0], values.at(-1)) : values[place ?? 0]
    return value === undefined ? [] : [{ time, value }]
  })
}

function apart(first: number | undefined, last: number | undefined): number | undefined {
  return first === undefined || last === undefined ? undefined : first - last
}

function figureOf(counted: Exclude<Counted, 'reading' | 'until'>, series: AtTime[], times: number[]): number | undefined {
  const [first, last] = [series.find(({ time }) => time === times[0]), series.find(({ time }) => time === times.at(-1))]
  const whole = series.length === times.length ? series.map(({ value }) => value) : undefined
  if (counted === 'last') return last?.value
  if (counted === 'highest') return whole && Math.max(...whole)
  if (counted === 'total') return whole?.reduce((sum, value) => sum + value, 0)
  if (counted === 'average') return whole && mean(whole)
  if (!first || !last || times.length < 2) return undefined
  const change = last.value - first.value
  if (counted === 'change') return change
  if (counted === 'loss') return -change
  if (counted === 'rate') return change / (last.time - first.time)
  return first.value > 0 ? (-change / first.value) * 100 : undefined
}

/** When it first was there, coming from the side on which it began; `Infinity` where it was not by the last time that anybody has read. */
function timeUntil(series: AtTime[], times: number[], until: number | undefined): number | undefined {
  const [first] = series
  if (!first || until === undefined) return undefined
  const falls = first.value > until
  const reached = series.find(({ value }) => (falls ? value <= until : value >= until))
  if (reached) return reached.time
  return series.some(({ time }) => time === times.at(-1)) ? Infinity : undefined
}

/** Readings of trials that were read before and after: half a trial would shift one average and not the other. */
export function wholeTrials(readings: Reading[]): Reading[] {
  const key = ({ group, condition, repeat }: Reading) => `${group}/${condition}/${repeat}`
  const having = (half: string) => new Set(readings.filter(({ moment }) => withoutMark(moment) === half).map(key))
  const [before, after] = [having('before'), having('after')]
  return readings.filter((reading) => before.has(key(reading)) && after.has(key(reading)))
}

function averageAt(own: Reading[], moment: string): number | undefined {
  const values = own.filter((reading) => reading.moment === moment).map(({ value }) => value)
  return values.length === 0 ? undefined : mean(values)
}

/**
 * The one in the middle, or halfway between the two there; two that were both not reached are not halfway anywhere.
 * @example middleValue([1, Infinity, Infinity]) // => Infinity
 */
export function middleValue(values: number[]): number {
  const sorted = [...values].sort((a, b) => a - b)
  const [low, high] = [sorted[Math.floor((sorted.length - 1) / 2)]!, sorted[Math.floor(sorted.length / 2)]!]
  return low === high ? low : (low + high) / 2
}

/** The middle of times until something, since one that was not reached has no sum; else what the way of reading has for it, mostly the mean. */
export function middleOf(plan: Plan, values: number[]): number {
  return countsOf(plan) === 'until' ? middleValue(values) : testOf(plan).way.middle(values)
}

/** Average result of every condition that has one, by condition id. */
export function averageResults(plan: Plan, readings: Reading[]): Record<string, number> {
  return averagesOf(plan, trialResults(plan, readings))
}

export function signedAverages(plan: Plan, readings: Reading[]): Record<string, number> {
  return averagesOf(plan, signedResults(plan, readings))
}

function averagesOf(plan: Plan, results: TrialResult[]): Record<string, number> {
  return Object.fromEntries(
    activeConditions(plan).flatMap(({ id }) => {
      const values = results.filter((one) => one.condition === id).map(({ value }) => value)
      return values.length === 0 ? [] : [[id, middleOf(plan, values)]]
    }),
  )
}

/** How often each of the ordered words was chosen, condition by condition. `[{ condition: 'sink', counts: [0, 2, 5] }]` */
export function wordCounts(plan: Plan, readings: Reading[]): { condition: string; counts: number[] }[] {
  const words = testOf(plan).words
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
  const counted = kindOf(plan).readsTwice ? wholeTrials(all) : all
  return activeConditions(plan).flatMap(({ id: condition }) =>
    momentsOf(plan).flatMap(({ id: moment }) => {
      const values = counted.filter((one) => one.condition === condition && one.moment === moment).map(({ value }) => value)
      return values.length === 0 ? [] : [{ condition, moment, average: mean(values), count: values.length }]
    }),
  )
}
