import type { Plan } from '~~/core/lesson'
import { changesToTry, classesToTry, rehearsing, tryingChanges, type Rehearsal, type Tried } from '~~/core/rehearsal'

export interface RehearsalQuestion {
  plan: Plan
  classes: number
}

export type RehearsalNews = { done: number; of: number } | { found: Rehearsal | undefined } | { tried: Tried[] }

const TELL_EVERY = 100

/** Rehearses a plan, then tries what would help. A page that does not want it any more ends the worker. */
self.onmessage = ({ data: { plan, classes } }: MessageEvent<RehearsalQuestion>) => {
  const changes = changesToTry(plan)
  const of = classes + classesToTry(changes)
  const found = toEnd(rehearsing(plan, classes), 0, of)
  self.postMessage({ found } satisfies RehearsalNews)
  if (found) self.postMessage({ tried: toEnd(tryingChanges(plan, changes, found), classes, of) } satisfies RehearsalNews)
}

function toEnd<Answer>(work: Generator<number, Answer>, before: number, of: number): Answer {
  let told = performance.now()
  let step = work.next()
  while (!step.done) {
    if (performance.now() - told > TELL_EVERY) {
      self.postMessage({ done: before + step.value, of } satisfies RehearsalNews)
      told = performance.now()
    }
    step = work.next()
  }
  return step.value
}
