import type { BoardState } from './board'
import type { RowEvent } from './rows'

/** What a page that watches a lesson is told. A plan is only announced; the page fetches it. */
export type LessonEvent =
  RowEvent | { kind: 'board'; board: BoardState } | StationEvent | { kind: 'plan'; revision: number } | { kind: 'together' }

/** What became of one station; `to` is the group it was moved to. */
export interface StationEvent {
  kind: 'station'
  change: 'joined' | 'moved' | 'locked' | 'unlocked' | 'removed'
  station: string
  group: string
  to?: string
}
