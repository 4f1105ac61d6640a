import { mean } from 'simple-statistics'
import { activeConditions, type Plan, type Reading } from '../lesson'
import { momentsOf, testOf } from '../test'
import { convert } from '../quantity'
import { currentReadings } from './readings'

export interface PracticeFigures {
  /** Average of the practice readings, by condition id. */
  expected: Record<string, number>
  /** Pooled standard deviation of practice readings of the same condition; undefined where no condition has two. */
  sd: number | undefined
  count: number
}

/**
 * What the practice readings say about results to expect and about their wobble; set-aside ones left out. Practice is never
 * counted as a result: this only feeds the adviser.
 * @returns undefined until two conditions have a practice reading
 * @example practiceFigures(plan, [...readings('tissue', 61, 65), ...readings('card', 20)].map((one) => ({ ...one, practice: true })))
 *   // => { expected: { tissue: 63, card: 20 }, sd: 2.83, count: 3 }
 */
export function practiceFigures(plan: Plan, readings: Reading[]): PracticeFigures | undefined {
  const unit = testOf(plan).method?.unit
  if (!unit) return undefined
  const moments = new Set(momentsOf(plan).map(({ id }) => id))
  const practice = currentReadings(readings).filter(
    ({ practice, status, moment }) => practice && status === 'kept' && moments.has(moment),
  )
  const byCondition = activeConditions(plan).flatMap(({ id }) => {
    const values = practice
      .filter((reading) => reading.condition === id)
      .flatMap((reading) => convert(reading.value, reading.unit, unit) ?? [])
    return values.length === 0 ? [] : [{ id, values, average: mean(values) }]
  })
  if (byCondition.length < 2) return undefined
  const freedom = byCondition.reduce((sum, { values }) => sum + values.length - 1, 0)
  const squares = byCondition.reduce(
    (sum, { values, average }) => sum + values.reduce((own, value) => own + (value - average) ** 2, 0),
    0,
  )
  return {
    expected: Object.fromEntries(byCondition.map(({ id, average }) => [id, average])),
    sd: freedom > 0 ? Math.sqrt(squares / freedom) : undefined,
    count: byCondition.reduce((sum, { values }) => sum + values.length, 0),
  }
}
