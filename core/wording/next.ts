import type { Stop } from '../lesson'

const NEXT: Record<Stop, string> = {
  wonder: 'Find the question',
  plan: 'Make the test fair',
  kit: 'Count the kit',
  clock: 'See whether it fits',
  predict: 'Take predictions',
  test: 'Take readings',
  results: 'Look at the results',
  agree: 'Agree on a conclusion',
}

/** The next thing to do, as the shelf says it; a lesson with nothing left to do is done. */
export function nextThing(stop: Stop | null): string {
  return stop === null ? 'Done' : NEXT[stop]
}
