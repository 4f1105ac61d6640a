import { evidenceOf } from '../evidence'
import { activeConditions, conditionValue, type LessonRecord, type Plan } from '../lesson'
import { countsOf, hasNamedMoments, momentsOf, testOf } from '../test'
import { unitOf, type UnitCode } from '../quantity'
import { averagesByMoment } from '../record'
import { areNumbers } from './choose'

/** What children plot by hand: the averages, or every result where the class uses none. */
export interface HandGraph {
  unit: UnitCode
  up: { values: number[]; withZero: boolean }
  /** Numbers along the bottom; undefined where kinds stand side by side. */
  across: { values: number[]; unit: UnitCode } | undefined
}

/** The numbers of a graph on squared paper; undefined where there is no number to plot. */
export function handGraph(plan: Plan, record: LessonRecord): HandGraph | undefined {
  const { amount: method, kind } = testOf(plan)
  const evidence = evidenceOf(plan, record)
  if (!method || !evidence) return undefined
  const degrees = unitOf(method.unit).dimension === 'temperature'
  if (kind.watches || kind.readsTwice) {
    const values = averagesByMoment(plan, record.readings).map(({ average }) => average)
    const times = momentsOf(plan).flatMap(({ time }) => (time === undefined ? [] : [time]))
    if (values.length === 0) return undefined
    return {
      unit: method.unit,
      up: { values, withZero: false },
      across: times.length > 1 && !hasNamedMoments(plan) ? { values: times, unit: plan.watch.unit } : undefined,
    }
  }
  // What was not reached has no place on a scale.
  if (countsOf(plan) === 'until') return undefined
  const values = evidence.summaries.flatMap(({ evened, lowest, highest }) =>
    plan.average === 'none' ? [lowest, highest] : [evened],
  )
  if (values.length === 0) return undefined
  const numbers = areNumbers(plan) ? activeConditions(plan).map((one) => conditionValue(plan, one)!) : undefined
  return {
    unit: method.unit,
    up: { values, withZero: !degrees },
    across: numbers ? { values: numbers, unit: plan.conditionUnit } : undefined,
  }
}
