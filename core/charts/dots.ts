import { activeConditions, type LessonRecord, type Plan } from '../lesson'
import { momentsOf, testOf } from '../test'
import { convert } from '../quantity'
import { currentReadings, trialResults } from '../record'

export interface ResultDot {
  group: string
  condition: string
  x: number
  value: number
  /** Kept and counted, or set aside and only shown. */
  counted: boolean
}

/** A dot with the moment of its reading. */
export type MomentDot = Omit<ResultDot, 'x'> & { moment: string }

/** Every reading of a group and condition of the plan, in the plan's unit, set-aside ones too. */
export function readingDots(plan: Plan, record: LessonRecord): MomentDot[] {
  const unit = testOf(plan).unit
  const groups = new Set(plan.groups.map((group) => group.id))
  const conditions = new Set(activeConditions(plan).map(({ id }) => id))
  const moments = new Set(momentsOf(plan).map(({ id }) => id))
  return currentReadings(record.readings).flatMap((reading) => {
    const value = convert(reading.value, reading.unit, unit)
    const { group, condition, status, moment } = reading
    if (reading.practice || value === undefined || !groups.has(group) || !conditions.has(condition) || !moments.has(moment))
      return []
    return [{ group, condition, value, moment, counted: status === 'kept' }]
  })
}

/** What every trial came to, where that is worked out of several readings; what was not reached has no place on a scale. */
export function workedOutDots(plan: Plan, record: LessonRecord): MomentDot[] {
  return trialResults(plan, record.readings)
    .filter(({ value }) => Number.isFinite(value))
    .map(({ group, condition, value }) => ({ group, condition, value, moment: '', counted: true }))
}
