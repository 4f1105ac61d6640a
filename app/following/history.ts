const MOST_UNDO = 200
const SAME_TYPING_WITHIN = 1200

/** What was before and what was taken back, the nearest last. */
export interface History<T> {
  past: T[]
  future: T[]
  /** What is being typed in one field, and when it was typed last. */
  typing: { key: string; at: number }
}

export const noHistory = <T>(past: T[] = []): History<T> => ({ past, future: [], typing: { key: '', at: 0 } })

/** After a change from `before`. Quick changes with the same key (typing in one field) are undone together. */
export function afterChange<T>({ past, typing }: History<T>, before: T, key: string, now: number): History<T> {
  const goesOn = key !== '' && key === typing.key && now - typing.at < SAME_TYPING_WITHIN
  return { past: goesOn ? past : [...past.slice(1 - MOST_UNDO), before], future: [], typing: { key, at: now } }
}

/** One step back from what is there now; undefined where there is none. */
export function stepBack<T>({ past, future }: History<T>, now: T): { history: History<T>; now: T } | undefined {
  if (past.length === 0) return undefined
  return { history: { ...noHistory(past.slice(0, -1)), future: [...future, now] }, now: past.at(-1)! }
}

/** One step forward again. */
export function stepForward<T>({ past, future }: History<T>, now: T): { history: History<T>; now: T } | undefined {
  if (future.length === 0) return undefined
  return { history: { ...noHistory([...past, now]), future: future.slice(0, -1) }, now: future.at(-1)! }
}
