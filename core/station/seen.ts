import type { Doubt } from '../record'
import {
  EVERY_KIND,
  isEachChild,
  namedPictures,
  otherGroupOf,
  recordOf,
  rowsOf,
  WHOLE_CLASS,
  type AnyKind,
  type AnyRow,
  type Group,
  type LessonEvent,
  type LessonRecord,
  type Plan,
} from '../lesson'

/** What a group's station may see: its own work, and that of all once the class may see its numbers. */
export interface StationSight {
  /** Its own station, whose moves it hears of. */
  station: string
  group: string
  /** Numbers of the whole class are shown. */
  all: boolean
  /** They are because the teacher lets them, and not because nobody has anything left to measure. */
  live: boolean
  /** It is one child's, which learns of its classmates nothing that opens their records. */
  alone: boolean
}

/**
 * The plan as a group's station sees it: without the teacher's notes and cupboard, without what the teacher expects, without who is
 * away in other groups, and without other groups' remarks as long as the class does not see its numbers.
 * @example planSeenBy(soakUpPlan({ notes: 'felt is new' }), { group: 'g1', all: false }).notes // => ''
 */
export function planSeenBy(plan: Plan, { group, all }: Pick<StationSight, 'group' | 'all'>): Plan {
  const seen = publicPlan(plan)
  const { chosen } = plan.asked
  const wondering = plan.groups.find(({ id }) => id === group)?.wondering
  const mine = ({ id, by }: { id: string; by: string | null }) =>
    all || by === null || by === group || id === chosen || id === wondering
  const { noticed, maybe, wondered } = seen.wonder
  return {
    ...seen,
    measures: seen.measures.map((card) => ({
      ...card,
      method: { ...card.method, expectedLow: null, expectedHigh: null, expected: {} },
      otherWays: [],
    })),
    groups: isEachChild(plan)
      ? classmatesHidden(seen.groups, group)
      : seen.groups.map((one) => (one.id === group ? one : { ...one, away: [] })),
    wonder: { ...seen.wonder, noticed: noticed.filter(mine), maybe: maybe.filter(mine), wondered: wondered.filter(mine) },
  }
}

/** Under what a child's page knows a classmate: nothing that anybody could join with. */
function hiddenId(group: string): string {
  let hash = 0x811c9dc5
  for (const letter of group) hash = Math.imul(hash ^ letter.charCodeAt(0), 0x01000193) >>> 0
  return `other-${hash.toString(36)}`
}

/** One's own record at its place, and the others in an order that tells nobody's seat, without code, key or id. */
function classmatesHidden(groups: Group[], own: string): Group[] {
  const others = groups
    .filter(({ id }) => id !== own)
    .map((one) => ({ ...one, id: hiddenId(one.id), name: '', wondering: null, away: [], sharesWith: null, key: '' }))
    .sort((a, b) => (a.id < b.id ? -1 : 1))
  return groups.map((one) => (one.id === own ? { ...one, sharesWith: null } : others.shift()!))
}

/** A row as a child's page sees it: a classmate's under a name that opens nothing. */
function rowSeenByChild(kind: AnyKind, row: AnyRow, own: string): AnyRow {
  const hidden = (group: string | null) => (group === null || group === own || group === WHOLE_CLASS ? group : hiddenId(group))
  const other = otherGroupOf(kind, row)
  return { ...row, group: hidden(row.group), ...(other === null ? {} : { [kind.otherGroup!]: hidden(other) }) }
}

/** An event as a station is told of it, which hears of it. */
export function eventSeenBy(event: LessonEvent, { group, alone }: Pick<StationSight, 'group' | 'alone'>): LessonEvent {
  const kind = alone ? EVERY_KIND.find((one) => one.kind === event.kind) : undefined
  if (!kind) return event
  const row = (event as unknown as Record<string, AnyRow>)[kind.kind]!
  return { kind: kind.kind, [kind.kind]: rowSeenByChild(kind, row, group) } as unknown as LessonEvent
}

/**
 * The plan as board and stations see it: without the teacher's notes and without the cupboard.
 * @example publicPlan(soakUpPlan({ notes: 'felt is new' })).notes // => ''
 */
export function publicPlan(plan: Plan): Plan {
  return {
    ...plan,
    notes: '',
    groupNotes: {},
    groups: plan.groups.map((group) => (group.key === '' ? group : { ...group, key: '' })),
    materials: plan.materials.map((material) => ({
      ...material,
      thing: null,
      stock: '',
      pack: '',
      price: '',
      place: '',
      toBuy: false,
    })),
  }
}

/** The rows that a group's station sees: its own and the class's, or all. */
export function recordSeenBy(
  record: LessonRecord,
  { group, all, alone }: Pick<StationSight, 'group' | 'all' | 'alone'>,
): LessonRecord {
  return recordOf((kind) => {
    if (kind.deskOnly) return []
    const rows = rowsOf(record, kind)
    const seen = all && !kind.confidential ? rows : rows.filter((row) => isOf(group, row.group))
    return alone ? seen.map((row) => rowSeenByChild(kind, row, group)) : seen
  })
}

/**
 * What a station may be asked about a number, without where other groups' numbers lie.
 * @example doubtSeenBy({ code: 'odd', middle: 52, sds: 4, side: 'above' }, { all: false }) // => { code: 'odd', middle: null, sds: 4, side: 'above' }
 */
export function doubtSeenBy(doubt: Doubt, { all }: Pick<StationSight, 'all'>): Doubt {
  return all || !('middle' in doubt) ? doubt : { ...doubt, middle: null }
}

const DESK_ONLY: ReadonlySet<string> = new Set(EVERY_KIND.flatMap(({ kind, deskOnly }) => (deskOnly ? [kind] : [])))
const CONFIDENTIAL: ReadonlySet<string> = new Set(EVERY_KIND.flatMap(({ kind, confidential }) => (confidential ? [kind] : [])))

/** The record as the board sees it: without what groups tell each other in confidence. */
export function publicRecord(record: LessonRecord): LessonRecord {
  return recordOf((kind) => (kind.confidential || kind.deskOnly ? [] : rowsOf(record, kind)))
}

/** Does a station hear of this event. */
export function isHeardBy(event: LessonEvent, { station, group, all }: Omit<StationSight, 'live' | 'alone'>): boolean {
  if (DESK_ONLY.has(event.kind)) return false
  if (event.kind === 'plan' || event.kind === 'board' || event.kind === 'together') return true
  if (event.kind === 'station') return event.station === station
  return (
    (all && !CONFIDENTIAL.has(event.kind)) ||
    isOf(group, (event as unknown as Record<string, { group: string | null }>)[event.kind]!.group)
  )
}

/**
 * What a station may see once this has happened: a show of hands on the board, or its own move to another group.
 * @example seesAfter({ station: 's1', group: 'g1', all: false, live: false, alone: false }, { kind: 'station', station: 's1', change: 'moved', to: 'g2' }).group // => 'g2'
 */
export function seesAfter(sight: StationSight, event: LessonEvent): StationSight {
  if (event.kind === 'board') {
    const live = event.board.results === 'live'
    return live === sight.live ? sight : { ...sight, live, all: live }
  }
  if (event.kind !== 'station' || event.station !== sight.station || event.change !== 'moved') return sight
  return { ...sight, group: event.to ?? sight.group }
}

/** The pictures that a station may look at. */
export function picturesSeenBy(plan: Plan, record: LessonRecord, sight: Pick<StationSight, 'group' | 'all' | 'alone'>): string[] {
  return namedPictures(plan, recordSeenBy(record, sight).observations)
}

function isOf(group: string, whose: string | null): boolean {
  return whose === group || whose === null || whose === WHOLE_CLASS
}
