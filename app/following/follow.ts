import type { LessonEvent } from '~~/core/lesson'
import { deviceClock, type Clock } from './clock'
import { openLine, type LineListeners } from './line'

const GATHER_FOR = 100
const LOOK_AGAIN_AFTER = 3000

export interface Followed<View, Happened = LessonEvent> {
  /** The whole of it, with the number of the last event in it. */
  load(): Promise<View & { event: number }>
  /** Where its further events come from. */
  events(since: number): string
  opened(view: View): void | Promise<void>
  /** Events that came close together. */
  take(events: Happened[]): void
  /** Does the line stand. */
  state?(stands: boolean): void
  presence?(): void
  /** The server gave a sign of life: who is watched answers it. */
  stillHere?(): void
  /** It could not be loaded; true to look again in a moment. */
  failed(error: unknown): boolean
  /**
   * Events of a busy class are taken up together: thirty stations would otherwise have a page draw itself anew for every single
   * number.
   */
  gatherFor?: number
}

/**
 * Follows a lesson, the same way for desk, board, station and journal: loads it, takes up what happens from there on, and looks
 * again while it cannot be reached.
 * @returns ends it
 */
export function follow<View, Happened = LessonEvent>(
  followed: Followed<View, Happened>,
  clock: Clock = deviceClock,
  line: (address: (since: number) => string, since: number, listeners: LineListeners<Happened>) => () => void = openLine,
): () => void {
  let ended = false
  let gathered: Happened[] = []
  let cancelGathering: (() => void) | undefined
  let cancelLooking = () => {}
  let endLine = () => {}

  function gather(event: Happened): void {
    gathered.push(event)
    cancelGathering ??= clock.after(followed.gatherFor ?? GATHER_FOR, () => {
      cancelGathering = undefined
      const events = gathered
      gathered = []
      followed.take(events)
    })
  }

  async function look(): Promise<void> {
    try {
      const view = await followed.load()
      if (ended) return
      await followed.opened(view)
      if (ended) return
      const state = (stands: boolean) => followed.state?.(stands)
      const older = () => {
        endLine()
        void look()
      }
      endLine = line(followed.events, view.event, {
        event: gather,
        state,
        presence: followed.presence,
        stillHere: followed.stillHere,
        older,
      })
    } catch (error) {
      if (!ended && followed.failed(error)) cancelLooking = clock.after(LOOK_AGAIN_AFTER, () => void look())
    }
  }

  void look()
  return () => {
    ended = true
    endLine()
    cancelLooking()
    cancelGathering?.()
  }
}
