import type { BoardState } from './board'
import type { Conclusion, Observation, Prediction, Reading, SaidRemark } from './record'

/** What a page that watches a lesson is told. A plan is only announced; the page fetches it. */
export type LessonEvent =
  | { kind: 'reading'; reading: Reading }
  | { kind: 'prediction'; prediction: Prediction }
  | { kind: 'conclusion'; conclusion: Conclusion }
  | { kind: 'remark'; remark: SaidRemark }
  | { kind: 'observation'; observation: Observation }
  | { kind: 'board'; board: BoardState }
  | StationEvent
  | { kind: 'plan'; revision: number }

/** What became of one station; `to` is the group it was moved to. */
export interface StationEvent {
  kind: 'station'
  change: 'joined' | 'moved' | 'locked' | 'unlocked' | 'removed'
  station: string
  group: string
  to?: string
}
