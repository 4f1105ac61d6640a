import { momentsOf, type LessonRecord, type Moment, type Plan } from '../lesson'
import type { UnitCode } from '../quantity'
import { averagesByMoment, countedReadings, wholeTrials } from '../record'
import { readingDots, type ResultDot } from './dots'
import type { ResultMark } from './results'

/** One line of averages over the moments of a trial. */
export interface ResultLine {
  condition: string
  letter: string
  name: string
  place: number
  points: { x: number; moment: string; average: number }[]
}

/** Where a moment stands along the bottom: its time, or 0 for before and 1 for after. */
function xOfMoment({ time, half }: Moment): number {
  return time ?? (half === 'after' ? 1 : 0)
}

/** The averages of each condition over the moments, places of one time together. */
export function linesOf(plan: Plan, record: LessonRecord, marks: ResultMark[]): ResultLine[] {
  const averages = averagesByMoment(plan, record.readings)
  const moments = momentsOf(plan)
  const times = [...new Set(moments.map(xOfMoment))]
  return marks.map(({ condition, letter, name, place }) => ({
    condition,
    letter,
    name,
    place,
    points: times.flatMap((x) => {
      const here = moments.filter((moment) => xOfMoment(moment) === x)
      const own = averages.filter((one) => one.condition === condition && here.some(({ id }) => id === one.moment))
      if (own.length === 0) return []
      return [{ x, moment: here[0]!.id, average: own.reduce((sum, one) => sum + one.average, 0) / own.length }]
    }),
  }))
}

/** Every whole trial, before and after. */
export function pairsOf(plan: Plan, record: LessonRecord): [number, number][] {
  const whole = wholeTrials(countedReadings(plan, record.readings))
  const after = new Map(
    whole.flatMap((one) => (one.moment === 'after' ? [[`${one.group}/${one.condition}/${one.repeat}`, one.value] as const] : [])),
  )
  return whole
    .filter(({ moment }) => moment === 'before')
    .flatMap(({ group, condition, repeat, value }): [number, number][] => {
      const then = after.get(`${group}/${condition}/${repeat}`)
      return then === undefined ? [] : [[value, then]]
    })
}

export function momentDots(plan: Plan, record: LessonRecord, unit: UnitCode): ResultDot[] {
  const moments = new Map(momentsOf(plan).map((moment) => [moment.id, moment]))
  return readingDots(plan, record, unit).flatMap(({ moment, ...dot }) => {
    const found = moments.get(moment)
    return found ? [{ ...dot, x: xOfMoment(found) }] : []
  })
}
