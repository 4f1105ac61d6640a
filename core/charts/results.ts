import { evidenceOf } from '../evidence'
import { activeConditions, conditionName, conditionValue, letterOf, measuredCard, type LessonRecord, type Plan } from '../lesson'
import { convert, unitOf, type UnitCode } from '../quantity'
import { currentReadings } from '../record'
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
  /** Bars for named kinds, points for numbers. */
  kind: 'bars' | 'points'
  unit: UnitCode
  marks: ResultMark[]
  dots: ResultDot[]
  axis: Axis
  /** Along the bottom, for points only. */
  across: Axis | undefined
}

const SPREAD = 0.6

/**
 * Which graph shows the results and what is on it: bars of averages for named kinds, points for numbers, every reading as a
 * dot. Dots of kinds lie side by side in the order of the groups, so that none hides another.
 * @returns undefined while nothing is measured
 */
export function resultsGraph(plan: Plan, record: LessonRecord): ResultsGraph | undefined {
  const unit = measuredCard(plan)?.method.unit
  if (!unit) return undefined
  const evidence = evidenceOf(plan, record)
  const conditions = activeConditions(plan)
  const numbers = conditions.map((condition) => conditionValue(plan, condition))
  const kind = conditions.length > 0 && numbers.every((value) => value !== undefined) ? 'points' : 'bars'
  const marks = conditions.map((condition, place): ResultMark => ({
    condition: condition.id,
    letter: letterOf(plan, condition.id),
    name: conditionName(plan, condition),
    place: plan.conditions.indexOf(condition),
    x: kind === 'points' ? numbers[place]! : place,
    mean: evidence?.summaries.find((one) => one.condition === condition.id)?.mean,
  }))
  const dots = dotsOf(plan, record, unit, marks, kind)
  return {
    kind,
    unit,
    marks,
    dots,
    axis: axisFor(
      dots.map((dot) => dot.value),
      kind === 'bars' || unitOf(unit).dimension !== 'temperature',
    ),
    across:
      kind === 'points'
        ? axisFor(
            marks.map((mark) => mark.x),
            false,
          )
        : undefined,
  }
}

function dotsOf(plan: Plan, record: LessonRecord, unit: UnitCode, marks: ResultMark[], kind: ResultsGraph['kind']): ResultDot[] {
  const groups = plan.groups.map((group) => group.id)
  return currentReadings(record.readings).flatMap((reading): ResultDot[] => {
    const mark = marks.find((one) => one.condition === reading.condition)
    const value = convert(reading.value, reading.unit, unit)
    const place = groups.indexOf(reading.group)
    if (reading.practice || !mark || value === undefined || place < 0) return []
    const aside = kind === 'points' ? 0 : ((place + 0.5) / groups.length - 0.5) * SPREAD
    const { id, group, condition, status } = reading
    return [{ reading: id, group, condition, value, x: mark.x + aside, counted: status === 'kept' }]
  })
}
