import type { Doubt } from '../record'
import { EVERY_KIND, namedPictures, recordOf, rowsOf, WHOLE_CLASS, type LessonEvent, type LessonRecord, type Plan } from '../lesson'

/** What a group's station may see: its own work, and that of all once the class may see its numbers. */
export interface StationSight {
  /** Its own station, whose moves it hears of. */
  station: string
  group: string
  /** Numbers of the whole class are shown. */
  all: boolean
  /** They are because the teacher lets them, and not because nobody has anything left to measure. */
  live: boolean
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
    })),
    groups: seen.groups.map((one) => (one.id === group ? one : { ...one, away: [] })),
    wonder: { ...seen.wonder, noticed: noticed.filter(mine), maybe: maybe.filter(mine), wondered: wondered.filter(mine) },
  }
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
export function recordSeenBy(record: LessonRecord, { group, all }: Pick<StationSight, 'group' | 'all'>): LessonRecord {
  return recordOf((kind) => {
    const rows = rowsOf(record, kind)
    return all && !kind.confidential ? rows : rows.filter((row) => isOf(group, row.group))
  })
}

/**
 * What a station may be asked about a number, without where other groups' numbers lie.
 * @example doubtSeenBy({ code: 'odd', middle: 52, sds: 4, side: 'above' }, { all: false }) // => { code: 'odd', middle: null, sds: 4, side: 'above' }
 */
export function doubtSeenBy(doubt: Doubt, { all }: Pick<StationSight, 'all'>): Doubt {
  return all || !('middle' in doubt) ? doubt : { ...doubt, middle: null }
}

const CONFIDENTIAL: ReadonlySet<string> = new Set(EVERY_KIND.flatMap(({ kind, confidential }) => (confidential ? [kind] : [])))

/** The record as the board sees it: without what groups tell each other in confidence. */
export function publicRecord(record: LessonRecord): LessonRecord {
  return recordOf((kind) => (kind.confidential ? [] : rowsOf(record, kind)))
}

/** Does a station hear of this event. */
export function isHeardBy(event: LessonEvent, { station, group, all }: Omit<StationSight, 'live'>): boolean {
  if (event.kind === 'plan' || event.kind === 'board' || event.kind === 'together') return true
  if (event.kind === 'station') return event.station === station
  return (
    (all && !CONFIDENTIAL.has(event.kind)) ||
    isOf(group, (event as unknown as Record<string, { group: string | null }>)[event.kind]!.group)
  )
}

/**
 * What a station may see once this has happened: a show of hands on the board, or its own move to another group.
 * @example seesAfter({ station: 's1', group: 'g1', all: false, live: false }, { kind: 'station', station: 's1', change: 'moved', to: 'g2' }).group // => 'g2'
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
export function picturesSeenBy(plan: Plan, record: LessonRecord, sight: Pick<StationSight, 'group' | 'all'>): string[] {
  return namedPictures(plan, recordSeenBy(record, sight).observations)
}

function isOf(group: string, whose: string | null): boolean {
  return whose === group || whose === null || whose === WHOLE_CLASS
}
