import { activeConditions, type LessonRecord, type Plan } from '../lesson'
import { convert, type UnitCode } from '../quantity'
import { currentReadings } from '../record'

export interface ResultDot {
  reading: string
  group: string
  condition: string
  x: number
  value: number
  /** Kept and counted, or set aside and only shown. */
  counted: boolean
}

/** Every reading of a group and condition of the plan, in the plan's unit, set-aside ones too. */
export function readingDots(plan: Plan, record: LessonRecord, unit: UnitCode): (Omit<ResultDot, 'x'> & { moment: string })[] {
  const groups = new Set(plan.groups.map((group) => group.id))
  const conditions = new Set(activeConditions(plan).map(({ id }) => id))
  return currentReadings(record.readings).flatMap((reading) => {
    const value = convert(reading.value, reading.unit, unit)
    const { id, group, condition, status, moment } = reading
    if (reading.practice || value === undefined || !groups.has(group) || !conditions.has(condition)) return []
    return [{ reading: id, group, condition, value, moment, counted: status === 'kept' }]
  })
}
