import { oncePer, oncePerPair } from '../chance'
import {
  activeConditions,
  conditionsOf,
  EVERY_KIND,
  rowsOf,
  WHOLE_CLASS,
  type LessonRecord,
  type Plan,
  type Reading,
} from '../lesson'
import { everyMomentOf, forMeasure, momentsOf, testOf } from '../test'
import { convert } from '../quantity'

/** Rows that no other row supersedes, in the order they were written. */
export const currentReadings = oncePer((readings: Reading[]): Reading[] => {
  const superseded = new Set(readings.map((reading) => reading.supersedes))
  return readings.filter((reading) => !superseded.has(reading.id))
})

/** The earlier forms of a reading, the newest first. */
export function historyOf(reading: Reading, readings: Reading[]): Reading[] {
  if (reading.supersedes === null) return []
  const byId = new Map(readings.map((other) => [other.id, other]))
  const earlier: Reading[] = []
  for (let at = byId.get(reading.supersedes); at; at = byId.get(at.supersedes ?? '')) earlier.push(at)
  return earlier
}

/** A reading's place in the class grid. */
export function cellKey(place: Pick<Reading, 'group' | 'condition' | 'repeat' | 'moment' | 'practice'>): string {
  const { group, condition, repeat, moment, practice } = place
  return `${group}/${condition}/${practice ? 'practice' : repeat}${moment === '' ? '' : `/${moment}`}`
}

/**
 * Does the plan have this place: its group, condition, moment and repeat, or a trial that was to be done once more.
 * @example hasPlace(soakUpPlan())(reading({ repeat: 4 })) // => false
 */
export const hasPlace = oncePer((plan: Plan): ((place: Pick<Reading, 'group' | 'condition' | 'repeat' | 'moment'>) => boolean) => {
  const groups = new Set(plan.groups.map((group) => group.id))
  const conditions = new Set(activeConditions(plan).map((condition) => condition.id))
  const moments = new Set(everyMomentOf(plan).map(({ id }) => id))
  const again = new Set(plan.retests.map(({ group, condition, repeat }) => `${group}/${condition}/${repeat}`))
  return ({ group, condition, repeat, moment }) =>
    groups.has(group) &&
    conditions.has(condition) &&
    moments.has(moment) &&
    (repeat <= plan.repeats || again.has(`${group}/${condition}/${repeat}`))
})

/**
 * What the results are worked out from: current, kept, not practice, of a place that the plan has, in the
 * plan's unit. Where several things are measured, those of the first; `forMeasure` gives the plan of another. Readings in a unit of another kind are left
 * out; the second look names them.
 */
export const countedReadings = oncePerPair((plan: Plan, readings: Reading[]): Reading[] => {
  const unit = testOf(plan).method?.unit
  if (!unit) return []
  const isThere = hasPlace(plan)
  const ofMeasure = new Set(momentsOf(plan).map(({ id }) => id))
  return currentReadings(readings).flatMap((reading) => {
    if (reading.practice || reading.status !== 'kept' || !ofMeasure.has(reading.moment) || !isThere(reading)) return []
    if (reading.unit === unit) return [reading]
    const value = convert(reading.value, reading.unit, unit)
    return value === undefined ? [] : [{ ...reading, value, unit }]
  })
})

/** Does this row make the class's predictions final: a counted reading, whatever becomes of it later. */
export function isCounted(reading: Reading): boolean {
  return !reading.practice
}

/** Has this group, or anybody, a reading that counts: predictions are final from then on. */
export function hasBegun(readings: Reading[], group?: string): boolean {
  return readings.some((reading) => isCounted(reading) && (group === undefined || reading.group === group))
}

/** Has anybody read this card: it stays in the plan, so that no reading loses the thing it was of. */
export function isRead(plan: Plan, readings: Reading[], measure: string): boolean {
  const moments = new Set(momentsOf(forMeasure(plan, measure)).map(({ id }) => id))
  return readings.some(({ moment }) => moments.has(moment))
}

/** Conditions and groups that somebody wrote something about: they stay in the plan, so that nothing loses its place. */
export function usedIn(record: LessonRecord): { conditions: Set<string>; groups: Set<string> } {
  const rows = EVERY_KIND.flatMap((kind) => rowsOf(record, kind).map((row) => ({ row, conditions: conditionsOf(kind, row) })))
  const groups = rows.flatMap(({ row: { group } }) => (group === null || group === WHOLE_CLASS ? [] : [group]))
  return { conditions: new Set(rows.flatMap(({ conditions }) => conditions)), groups: new Set(groups) }
}

/** The readings that count, put together by the trial that they belong to. */
export function readingsByTrial(plan: Plan, readings: Reading[]): Reading[][] {
  const trials = new Map<string, Reading[]>()
  for (const reading of countedReadings(plan, readings)) {
    const key = `${reading.group}/${reading.condition}/${reading.repeat}`
    const own = trials.get(key)
    if (own) own.push(reading)
    else trials.set(key, [reading])
  }
  return [...trials.values()]
}
