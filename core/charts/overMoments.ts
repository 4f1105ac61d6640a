import { mean } from 'simple-statistics'
import { type LessonRecord, type Plan } from '../lesson'
import { countedPlace, momentOf, momentsOf, type Moment } from '../test'
import { averagesByMoment, countedReadings, readingsByTrial, seriesOf, wholeTrials } from '../record'
import { readingDots, type ResultDot } from './dots'
import type { ResultMark } from './results'

/** One line of averages over the moments of a trial, at one place of it where there are several. */
export interface ResultLine {
  condition: string
  letter: string
  name: string
  /** The place in a jar that the line follows, where there are several. */
  where: string | undefined
  place: number
  /** Which of the places of a trial, for its dashes and symbol; the condition's own place in the plan where a trial has one. */
  dash: number
  points: { x: number; moment: string; average: number }[]
}

/** Where a moment stands along the bottom: its time, or 0 for before and 1 for after. */
function xOfMoment({ time, half }: Moment): number {
  return time ?? (half === 'after' ? 1 : 0)
}

/** The averages of each condition over the moments; each place that is read has a line of its own, unless the difference between them counts. */
export function linesOf(plan: Plan, record: LessonRecord, marks: ResultMark[]): ResultLine[] {
  if (countedPlace(plan) === 'apart') return differencesOf(plan, record, marks)
  const averages = averagesByMoment(plan, record.readings)
  const moments = momentsOf(plan)
  const places = [...new Set(moments.map(({ place }) => place))]
  return marks.flatMap(({ condition, letter, name, place }) =>
    places.map((where, index) => ({
      condition,
      letter,
      name,
      where: places.length > 1 ? where : undefined,
      place,
      dash: places.length > 1 ? index : place,
      points: moments
        .filter((moment) => moment.place === where)
        .flatMap((moment) => {
          const own = averages.find((one) => one.condition === condition && one.moment === moment.id)
          return own ? [{ x: xOfMoment(moment), moment: moment.id, average: own.average }] : []
        }),
    })),
  )
}

/** How far the first place was above the last, on average of the trials. */
function differencesOf(plan: Plan, record: LessonRecord, marks: ResultMark[]): ResultLine[] {
  const moments = momentsOf(plan)
  const differences = differencesByTrial(plan, record)
  return marks.map(({ condition, letter, name, place }) => ({
    condition,
    letter,
    name,
    where: undefined,
    place,
    dash: place,
    points: plan.watch.times.flatMap((time) => {
      const values = differences.filter((one) => one.condition === condition && one.time === time).map(({ value }) => value)
      const moment = moments.find((one) => one.time === time)
      return values.length === 0 || !moment ? [] : [{ x: time, moment: moment.id, average: mean(values) }]
    }),
  }))
}

function differencesByTrial(plan: Plan, record: LessonRecord): { group: string; condition: string; time: number; value: number }[] {
  return readingsByTrial(plan, record.readings).flatMap((own) =>
    seriesOf(plan, own).map((at) => ({ group: own[0]!.group, condition: own[0]!.condition, ...at })),
  )
}

/** Every whole trial, before and after. */
export function pairsOf(plan: Plan, record: LessonRecord): [number, number][] {
  const whole = wholeTrials(countedReadings(plan, record.readings))
  const halfOf = ({ moment }: { moment: string }) => momentOf(plan, moment)?.half
  const after = new Map(
    whole.flatMap((one) => (halfOf(one) === 'after' ? [[`${one.group}/${one.condition}/${one.repeat}`, one.value] as const] : [])),
  )
  return whole
    .filter((one) => halfOf(one) === 'before')
    .flatMap(({ group, condition, repeat, value }): [number, number][] => {
      const then = after.get(`${group}/${condition}/${repeat}`)
      return then === undefined ? [] : [[value, then]]
    })
}

export function momentDots(plan: Plan, record: LessonRecord): ResultDot[] {
  if (countedPlace(plan) === 'apart')
    return differencesByTrial(plan, record).map(({ time, ...dot }) => ({ ...dot, x: time, counted: true }))
  const moments = new Map(momentsOf(plan).map((moment) => [moment.id, moment]))
  return readingDots(plan, record).flatMap(({ moment, ...dot }) => {
    const found = moments.get(moment)
    return found ? [{ ...dot, x: xOfMoment(found) }] : []
  })
}
