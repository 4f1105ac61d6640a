import { EventEmitter } from 'node:events'
import type { Conclusion, Prediction, Reading, SaidRemark } from '../../core/lesson'

/** What a page that watches a lesson is told. A plan is only announced; the page fetches it. */
export type LessonEvent =
  | { kind: 'reading'; reading: Reading }
  | { kind: 'prediction'; prediction: Prediction }
  | { kind: 'conclusion'; conclusion: Conclusion }
  | { kind: 'remark'; remark: SaidRemark }
  | { kind: 'plan'; revision: number }

export interface NumberedEvent {
  number: number
  body: LessonEvent
}

const emitter = new EventEmitter()
emitter.setMaxListeners(0)

/** Tells everybody who watches this lesson. Called after the rows are stored, never before. */
export function announce(lesson: string, event: NumberedEvent): void {
  emitter.emit(lesson, event)
}

/** Calls back for every further event of a lesson; the answer ends it. */
export function watch(lesson: string, listener: (event: NumberedEvent) => void): () => void {
  emitter.on(lesson, listener)
  return () => emitter.off(lesson, listener)
}
