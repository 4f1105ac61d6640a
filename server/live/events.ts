import { EventEmitter } from 'node:events'
import type { LessonEvent } from '../../core/lesson'

export interface NumberedEvent {
  number: number
  body: LessonEvent
}

/** As it goes over the line, written out once for all who watch. */
export interface WrittenEvent extends NumberedEvent {
  data: string
}

const PRESENCE = 'presence'

const emitter = new EventEmitter()
emitter.setMaxListeners(0)

/** Tells everybody who watches this lesson. Called after the rows are stored, never before. */
export function announce(lesson: string, event: NumberedEvent): void {
  emitter.emit(lesson, written(event))
}

/** Calls back for every further event of a lesson; the answer ends it. */
export function watch(lesson: string, listener: (event: WrittenEvent) => void): () => void {
  emitter.on(lesson, listener)
  return () => emitter.off(lesson, listener)
}

/** Tells those who watch that a station of this lesson came or went; nothing of it is stored. */
export function announcePresence(lesson: string): void {
  emitter.emit(`${lesson}/${PRESENCE}`)
}

export function watchPresence(lesson: string, listener: () => void): () => void {
  emitter.on(`${lesson}/${PRESENCE}`, listener)
  return () => emitter.off(`${lesson}/${PRESENCE}`, listener)
}

export function written({ number, body }: NumberedEvent): WrittenEvent {
  return { number, body, data: JSON.stringify(body) }
}
