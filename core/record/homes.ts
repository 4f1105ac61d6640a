import { oncePer } from '../chance'
import { everyMomentOf } from '../test'
import { conditionsOf, otherGroupOf, WHOLE_CLASS, type Plan, type Reading, type AnyKind, type AnyRow } from '../lesson'

/** What the plan lacks for a row: its group, the group that it is about, a condition, or the moment that a reading was taken at. */
export type Lacks = 'group' | 'other-group' | 'condition' | 'moment'

interface Places {
  groups: Set<string>
  conditions: Set<string>
  moments: Set<string>
}

const placesOf = oncePer((plan: Plan): Places => ({
  groups: new Set(plan.groups.map(({ id }) => id)),
  conditions: new Set(plan.conditions.map(({ id }) => id)),
  moments: new Set(everyMomentOf(plan).map(({ id }) => id)),
}))

/**
 * What a plan lacks for a row to have a home in it; undefined where it has all. Practice has its home wherever its group and condition are, and so has a
 * reading that was set aside.
 * @example homeOf(soakUpPlan(), ROW_KINDS.reading, reading({ group: 'g99' })) // => 'group'
 */
export function homeOf(plan: Plan, kind: AnyKind, row: AnyRow): Lacks | undefined {
  const { groups, conditions, moments } = placesOf(plan)
  const ofWholeClass = row.group === null || (row.group === WHOLE_CLASS && kind.ofWholeClass?.(row))
  if (!ofWholeClass && !groups.has(row.group!)) return 'group'
  const other = otherGroupOf(kind, row)
  if (other !== null && !groups.has(other)) return 'other-group'
  if (conditionsOf(kind, row).some((condition) => !conditions.has(condition))) return 'condition'
  return isReading(row) && !row.practice && row.status === 'kept' && !moments.has(row.moment) ? 'moment' : undefined
}

function isReading(row: AnyRow): row is Reading {
  return 'moment' in row && 'practice' in row
}

/** The places that rows of a lesson are in. */
export interface UsedPlaces {
  groups: Set<string>
  conditions: Set<string>
  /** Of readings that count. */
  moments: Set<string>
}

/**
 * What rows would lose if one plan took the place of another: the first of what is used, is in the plan of before and is not in the next one. What was missing
 * before is nobody's loss now.
 * @example lostWith(soakUpPlan(), { ...soakUpPlan(), groups: [] }, { groups: new Set(['g1']), conditions: new Set(), moments: new Set() }) // => 'group'
 */
export function lostWith(before: Plan, next: Plan, used: UsedPlaces): Exclude<Lacks, 'other-group'> | undefined {
  const [had, has] = [placesOf(before), placesOf(next)]
  const loses = (what: keyof Places) => [...used[what]].some((id) => had[what].has(id) && !has[what].has(id))
  if (loses('groups')) return 'group'
  if (loses('conditions')) return 'condition'
  // Another kind of test has other moments altogether: that is said in the list of what has no home, and comes back with the kind.
  return before.kind === next.kind && loses('moments') ? 'moment' : undefined
}
