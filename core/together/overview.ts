import { readAgainstEach, type ReadConclusion } from '../agree'
import { smallBars, type SmallBar } from '../charts'
import { everyTable, type Table } from '../evidence'
import type { LessonRecord, Plan } from '../lesson'
import { progressOf } from '../record'
import type { Together, TogetherView } from './setOfLessons'

/** What one of the lessons found, as it stands in one line of the overview. */
export interface Found {
  lesson: string
  plan: Plan
  record: LessonRecord
  done: number
  all: number
  groups: { id: string; name: string; done: number; all: number }[]
  tables: Table[]
  bars: SmallBar[]
}

/**
 * How far each lesson is, and what it found so far.
 * @example overviewOf([{ lesson: 'a', plan: soakUpPlan(), record: EMPTY_RECORD }])[0]!.done // => 0
 */
export function overviewOf(members: { lesson: string; plan: Plan; record: LessonRecord }[]): Found[] {
  return members.map(({ lesson, plan, record }) => {
    const progress = progressOf(plan, record.readings)
    return {
      ...{ lesson, plan, record },
      done: progress.reduce((sum, { done }) => sum + done, 0),
      all: progress.reduce((sum, { all }) => sum + all, 0),
      groups: progress.map(({ group, done, all }) => ({
        ...{ id: group, done, all },
        name: plan.groups.find(({ id }) => id === group)?.name ?? '',
      })),
      tables: everyTable(plan, record),
      bars: smallBars(plan, record.readings),
    }
  })
}

/**
 * What the board shows: what somebody chose, else how to join until somebody has measured, and what each found once all are done.
 * @example viewTogether({ view: null }, []) // => 'join'
 */
export function viewTogether({ view }: Pick<Together, 'view'>, found: Pick<Found, 'done' | 'all'>[]): TogetherView {
  if (view !== null) return view
  if (found.every(({ done }) => done === 0)) return 'join'
  return found.every(({ done, all }) => all > 0 && done === all) ? 'overview' : 'test'
}

/**
 * One sentence across all lessons, each part of it read against the tables that it speaks of.
 * @returns `plans` are those of the tables, by the `ofTable` of a doubt
 * @example readTogether('It is higher.', []).read.doubts // => []
 */
export function readTogether(text: string, found: Found[]): { read: ReadConclusion; plans: Plan[] } {
  const tables = found.flatMap((one) => one.tables.filter(({ evidence }) => evidence.grade !== 'nothing-yet'))
  return { read: readAgainstEach(text, tables), plans: tables.map(({ plan }) => plan) }
}
