import { oncePerPair } from '../chance'
import {
  EVERY_KIND,
  placedAt,
  recordOf,
  rowsOf,
  supersededBy,
  type AnyKind,
  type AnyRow,
  type LessonRecord,
  type ListName,
  type Placing,
  type Plan,
  type RowKindName,
} from '../lesson'
import { homeOf, type Lacks } from './homes'

/** A row that the plan has no home for, and what it lacks. */
export interface Stray {
  kind: RowKindName
  row: AnyRow
  lacks: Lacks
}

export interface Homed {
  /** Every row that has a home, those that the teacher gave one among them. */
  record: LessonRecord
  /** What waits for the teacher to say where it belongs, in the order of writing. */
  strays: Stray[]
  /** What the teacher put aside. */
  aside: Stray[]
}

/**
 * The record as the plan has room for it. A row whose group, condition or moment is gone is not lost and counts nowhere, until the teacher gives it to another or
 * puts it aside (a row of its own says so); earlier forms of a row go where it goes.
 * @example homed(soakUpPlan(), { ...noRecord, readings: [reading({ group: 'g99' })] }).strays.map(({ lacks }) => lacks) // => ['group']
 */
export const homed = oncePerPair((plan: Plan, record: LessonRecord): Homed => {
  const found = EVERY_KIND.flatMap((kind) => straysAmong(plan, kind, rowsOf(record, kind)))
  if (found.length === 0) return { record, strays: [], aside: [] }
  const placings = new Map(record.placings.map((placing) => [placing.row, placing]))
  const placed = new Map<string, AnyRow>()
  const [strays, aside]: [Stray[], Stray[]] = [[], []]
  for (const { stray, earlier } of found) {
    const placing = placings.get(stray.row.id)
    const all = [stray.row, ...earlier].map((row) => placing && placedRow(plan, stray.kind, row, placing))
    if (all.every((row) => row !== undefined)) for (const row of all) placed.set(row.id, row)
    else (placing?.aside ? aside : strays).push(stray)
  }
  const gone = new Set(found.flatMap(({ stray, earlier }) => [stray.row, ...earlier].map(({ id }) => id)))
  const kept = (row: AnyRow) => placed.get(row.id) ?? (gone.has(row.id) ? [] : row)
  return { record: recordOf((kind) => keptOf(rowsOf(record, kind), kept)), strays, aside }
})

/**
 * What has to be said of a row without a home so that it gets one: a group, a condition, or both; nothing where it can only be put aside.
 * @example missingPlaces(plan, { kind: 'reading', row: reading({ group: 'g99' }), lacks: 'group' }) // => { group: true, condition: false }
 */
export function missingPlaces(plan: Plan, { kind, row }: Stray): { group: boolean; condition: boolean } {
  const own = EVERY_KIND.find((one) => one.kind === kind)!
  const group = plan.groups[0]?.id ?? null
  const condition = plan.conditions[0]?.id ?? null
  const single = own.conditions !== undefined && own.columns[own.conditions]!.is === 'plan-id'
  const has = (place: { group: string | null; condition: string | null }) =>
    homeOf(plan, own, placedAt(own, row, place)) === undefined
  if (group !== null && has({ group, condition: null })) return { group: true, condition: false }
  if (single && condition !== null && has({ group: null, condition })) return { group: false, condition: true }
  const both = single && group !== null && condition !== null && has({ group, condition })
  return { group: both, condition: both }
}

/** A list that nothing is taken out of stays the same one. */
function keptOf(rows: AnyRow[], kept: (row: AnyRow) => AnyRow | never[]): AnyRow[] {
  const own = rows.flatMap(kept)
  return own.length === rows.length && own.every((row, place) => row === rows[place]) ? rows : own
}

/** Rows without a home, each with its earlier forms; an earlier form alone is none. */
function straysAmong(plan: Plan, kind: AnyKind<RowKindName, ListName>, rows: AnyRow[]): { stray: Stray; earlier: AnyRow[] }[] {
  // Where the teacher put something is looked at when it is taken up.
  const lost = kind.deskOnly ? [] : rows.filter((row) => homeOf(plan, kind, row) !== undefined)
  if (lost.length === 0) return []
  const byId = new Map(rows.map((row) => [row.id, row]))
  const superseded = new Set(rows.map((row) => supersededBy(kind, row)))
  return lost
    .filter(({ id }) => !superseded.has(id))
    .map((row) => ({ stray: { kind: kind.kind, row, lacks: homeOf(plan, kind, row)! }, earlier: earlierOf(kind, row, byId) }))
}

function earlierOf(kind: AnyKind, row: AnyRow, byId: Map<string, AnyRow>): AnyRow[] {
  const earlier: AnyRow[] = []
  for (let id = supersededBy(kind, row); id !== null;) {
    const before = byId.get(id)
    if (!before) break
    earlier.push(before)
    id = supersededBy(kind, before)
  }
  return earlier
}

/** The row where the teacher put it; undefined where that is no home either. */
function placedRow(plan: Plan, kind: RowKindName, row: AnyRow, { to, condition, aside }: Placing): AnyRow | undefined {
  if (aside) return undefined
  const own = EVERY_KIND.find((one) => one.kind === kind)!
  const moved = placedAt(own, row, { group: to, condition })
  return homeOf(plan, own, moved) === undefined ? moved : undefined
}
