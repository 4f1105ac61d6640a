import { mean } from 'simple-statistics'
import { activeConditions, type LessonRecord, type Plan } from '../lesson'
import { countedPlace, momentsOf } from '../test'
import { countedReadings } from './readings'

/** What was read at one place of one condition, on average. */
export interface AtPlace {
  condition: string
  /** The place, counted from 0 in the plan's order. */
  place: number
  average: number
}

/**
 * The averages at each place, where two of them are compared at one single time; nothing where times would have to be mixed.
 * @returns one entry for each condition and place with readings, in the results' unit
 * @example averagesAtPlaces(soakUpPlan(), EMPTY_RECORD) // => []
 */
export function averagesAtPlaces(plan: Plan, { readings }: LessonRecord): AtPlace[] {
  if (countedPlace(plan) !== 'apart' || plan.watch.times.length !== 1) return []
  const places = momentsOf(plan).map(({ id }) => id)
  const counted = countedReadings(plan, readings)
  return activeConditions(plan).flatMap(({ id: condition }) =>
    places.flatMap((moment, place): AtPlace[] => {
      const own = counted.filter((one) => one.condition === condition && one.moment === moment).map(({ value }) => value)
      return own.length > 0 ? [{ condition, place, average: mean(own) }] : []
    }),
  )
}
