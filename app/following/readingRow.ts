import type { NewReading } from '~~/core/lesson'
import type { UnitCode } from '~~/core/quantity'
import type { Place } from '~~/core/record'
import { newId } from './newId'

/** A reading as it is first written down, with the words as they were entered. */
export function readingRow(place: Place, value: number, unit: UnitCode, entered: string): NewReading {
  const { group, condition, repeat, moment, practice } = place
  return {
    id: newId(),
    group,
    condition,
    repeat,
    moment,
    practice,
    value,
    unit,
    entered: entered.trim(),
    status: 'kept',
    reason: '',
    confirmed: false,
    supersedes: null,
  }
}

/** A row that takes the place of an earlier one, which stays as it was. */
export function superseding(earlier: NewReading, change: Partial<NewReading>): NewReading {
  const { group, condition, repeat, moment, practice, value, unit, entered, status, reason, confirmed } = earlier
  return {
    group,
    condition,
    repeat,
    moment,
    practice,
    value,
    unit,
    entered,
    status,
    reason,
    confirmed,
    ...change,
    id: newId(),
    supersedes: earlier.id,
  }
}
