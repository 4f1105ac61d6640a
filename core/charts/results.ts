import { evidenceOf } from '../evidence'
import {
  activeConditions,
  conditionName,
  conditionValue,
  letterOf,
  measuredCard,
  momentsOf,
  type LessonRecord,
  type Moment,
  type Plan,
} from '../lesson'
import { convert, unitOf, type UnitCode } from '../quantity'
import { averagesByMoment, countedReadings, currentReadings, wholeTrials } from '../record'
import { axisFor, type Axis } from './axis'

export interface ResultMark {
  condition: string
  letter: string
  name: string
  /** Place in the plan, for colour and hatch. */
  place: number
  /** Where it stands: 0, 1, 2 for kinds, its own number for numbers. */
  x: number
  mean: number | undefined
}

export interface ResultDot {
  reading: string
  group: string
  condition: string
  x: number
  value: number
  /** Kept and counted, or set aside and only shown. */
  counted: boolean
}

export interface ResultsGraph {
  /** Bars for named kinds, points for numbers, lines over time, pairs of before and after; dots alone for places and words. */
  kind: 'bars' | 'points' | 'lines' | 'pairs' | 'dots'
  unit: UnitCode
  marks: ResultMark[]
  /** Over the moments of a trial; empty elsewhere. */
  lines: ResultLine[]
  /** One trial's value before and after; empty elsewhere. */
  pairs: [before: number, after: number][]
  dots: ResultDot[]
  axis: Axis
  /** Along the bottom, for points and for lines over time. */
  across: Axis | undefined
}

const SPREAD = 0.6

/** One line of averages over the moments of a trial. */
export interface ResultLine {
  condition: string
  letter: string
  name: string
  place: number
  points: { x: number; moment: string; average: number }[]
}

/**
 * Which graph shows the results and what is on it: bars of averages for named kinds, points for numbers, every result as a dot.
 * What is read several times is drawn over its moments, one line a condition: over time, or from before to after. Places and words
 * have no bar to stand on. Dots of kinds lie side by side in the order of the groups, so that none hides another.
 * @returns undefined while nothing is measured
 */
export function resultsGraph(plan: Plan, record: LessonRecord): ResultsGraph | undefined {
  const method = measuredCard(plan)?.method
  if (!method) return undefined
  const conditions = activeConditions(plan)
  const numbers = conditions.map((condition) => conditionValue(plan, condition))
  const kind = kindOfGraph(plan, numbers)
  const overMoments = kind === 'lines' || kind === 'pairs'
  const evidence = overMoments ? undefined : evidenceOf(plan, record)
  const marks = conditions.map((condition, place): ResultMark => ({
    condition: condition.id,
    letter: letterOf(plan, condition.id),
    name: conditionName(plan, condition),
    place: plan.conditions.indexOf(condition),
    x: kind === 'points' ? numbers[place]! : place,
    mean: evidence?.summaries.find((one) => one.condition === condition.id)?.mean,
  }))
  const lines = overMoments ? linesOf(plan, record, marks) : []
  const dots = overMoments ? momentDots(plan, record, method.unit) : dotsOf(plan, record, method.unit, marks, kind)
  const withZero = kind === 'bars' || (kind === 'points' && unitOf(method.unit).dimension !== 'temperature')
  return {
    kind,
    unit: method.unit,
    marks,
    lines,
    pairs: kind === 'pairs' ? pairsOf(plan, record) : [],
    dots,
    axis: axisFor([...dots.map((dot) => dot.value), ...(kind === 'dots' ? scaleOf(plan) : [])], withZero),
    across: acrossOf(plan, kind, marks),
  }
}

function kindOfGraph(plan: Plan, numbers: (number | undefined)[]): ResultsGraph['kind'] {
  if (plan.kind === 'before-after') return 'pairs'
  if (plan.kind === 'over-time' && plan.watch.times.length > 1) return 'lines'
  if (measuredCard(plan)?.method.instrument !== 'number') return 'dots'
  return numbers.length > 0 && plan.kind !== 'improve' && numbers.every((value) => value !== undefined) ? 'points' : 'bars'
}

function acrossOf(plan: Plan, kind: ResultsGraph['kind'], marks: ResultMark[]): Axis | undefined {
  if (kind === 'points')
    return axisFor(
      marks.map((mark) => mark.x),
      false,
    )
  return kind === 'lines' ? axisFor(plan.watch.times, true) : undefined
}

/** The whole scale of words or places, so that the best and the worst are seen even when nobody got there. */
function scaleOf(plan: Plan): number[] {
  const method = measuredCard(plan)!.method
  return [1, method.instrument === 'words' ? method.words.length : activeConditions(plan).length].filter((value) => value > 0)
}

/** Where a moment stands along the bottom: its time, or 0 for before and 1 for after. */
function xOfMoment({ time, half }: Moment): number {
  return time ?? (half === 'after' ? 1 : 0)
}

function linesOf(plan: Plan, record: LessonRecord, marks: ResultMark[]): ResultLine[] {
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

function pairsOf(plan: Plan, record: LessonRecord): [number, number][] {
  const whole = wholeTrials(countedReadings(plan, record.readings))
  return whole
    .filter(({ moment }) => moment === 'before')
    .flatMap((before) => {
      const { group, condition, repeat } = before
      const after = whole.find(
        (one) => one.moment === 'after' && one.group === group && one.condition === condition && one.repeat === repeat,
      )
      return after ? [[before.value, after.value] as [number, number]] : []
    })
}

function momentDots(plan: Plan, record: LessonRecord, unit: UnitCode): ResultDot[] {
  const moments = new Map(momentsOf(plan).map((moment) => [moment.id, moment]))
  return readingDots(plan, record, unit).flatMap(({ moment, ...dot }) => {
    const found = moments.get(moment)
    return found ? [{ ...dot, x: xOfMoment(found) }] : []
  })
}

function dotsOf(plan: Plan, record: LessonRecord, unit: UnitCode, marks: ResultMark[], kind: ResultsGraph['kind']): ResultDot[] {
  const groups = plan.groups.map((group) => group.id)
  return readingDots(plan, record, unit).flatMap(({ moment: _moment, ...dot }) => {
    const mark = marks.find((one) => one.condition === dot.condition)
    const aside = kind === 'points' ? 0 : ((groups.indexOf(dot.group) + 0.5) / groups.length - 0.5) * SPREAD
    return mark ? [{ ...dot, x: mark.x + aside }] : []
  })
}

/** Every reading of a group and condition of the plan, in the plan's unit, set-aside ones too. */
function readingDots(plan: Plan, record: LessonRecord, unit: UnitCode): (Omit<ResultDot, 'x'> & { moment: string })[] {
  const groups = new Set(plan.groups.map((group) => group.id))
  const conditions = new Set(activeConditions(plan).map(({ id }) => id))
  return currentReadings(record.readings).flatMap((reading) => {
    const value = convert(reading.value, reading.unit, unit)
    const { id, group, condition, status, moment } = reading
    if (reading.practice || value === undefined || !groups.has(group) || !conditions.has(condition)) return []
    return [{ reading: id, group, condition, value, moment, counted: status === 'kept' }]
  })
}
