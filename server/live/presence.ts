import { EventEmitter } from 'node:events'

const emitter = new EventEmitter()
emitter.setMaxListeners(0)

/** Calls back when a station of this lesson came or went; nothing of it is stored. The answer ends it. */
export function watchPresence(lesson: string, listener: () => void): () => void {
  emitter.on(lesson, listener)
  return () => emitter.off(lesson, listener)
}

/** How many streams each station holds open at this moment. */
const open = new Map<string, number>()
const lastSeen = new Map<string, number>()

/** A station is there until the answer is called. */
export function enter(lesson: string, station: string): () => void {
  open.set(station, (open.get(station) ?? 0) + 1)
  emitter.emit(lesson)
  return () => {
    const left = (open.get(station) ?? 1) - 1
    if (left > 0) open.set(station, left)
    else open.delete(station)
    lastSeen.set(station, Date.now())
    emitter.emit(lesson)
  }
}

export function isPresent(station: string): boolean {
  return open.has(station)
}

/** When it was last heard of since the server began; undefined while it is there or when it never was. */
export function lastSeenAt(station: string): string | undefined {
  const at = lastSeen.get(station)
  return isPresent(station) || at === undefined ? undefined : new Date(at).toISOString()
}
