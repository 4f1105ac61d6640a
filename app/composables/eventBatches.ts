import type { LessonEvent } from '~~/core/lesson'

const GATHER_FOR = 100

/**
 * Events of a busy class are taken up together, ten times a second at most: thirty stations would otherwise have a page draw
 * itself anew for every single number.
 * @returns to be called with each event
 */
export function useEventBatches(take: (events: LessonEvent[]) => void, gatherFor = GATHER_FOR): (event: LessonEvent) => void {
  let gathered: LessonEvent[] = []
  let timer: ReturnType<typeof setTimeout> | undefined

  function handOver(): void {
    timer = undefined
    const events = gathered
    gathered = []
    take(events)
  }

  onScopeDispose(() => clearTimeout(timer))
  return (event) => {
    gathered.push(event)
    timer ??= setTimeout(handOver, gatherFor)
  }
}
