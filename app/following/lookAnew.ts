import { ServerRefusal } from './callServer'
import { deviceClock, type Clock } from './clock'

const LOOK_AGAIN_AFTER = 3000

/** A whole that a page loads again when an event alone does not tell what changed. */
export interface Anew<Happened> {
  /** Loads it, once for all who ask meanwhile; done when what is shown is as new as the asking, or the server is away. */
  ask(): Promise<void>
  /** What comes in while it is on its way: it may be older than that. */
  heard(events: Happened[]): void
  end(): void
}

/**
 * Loads the whole of something anew, and again in a moment where the server is away: a page whose rows went to another lesson would
 * else lack them until somebody loads it by hand.
 * @param take the whole, and what was heard while it was on its way
 * @param refused the server answered, but there is no such thing any more
 */
export function lookAnew<Whole, Happened = never>(
  load: () => Promise<Whole>,
  take: (whole: Whole, later: Happened[]) => void,
  refused: (error: unknown) => void = () => undefined,
  clock: Clock = deviceClock,
): Anew<Happened> {
  let ended = false
  let later: Happened[] | undefined
  let running: Promise<void> | undefined
  let next: Promise<void> | undefined
  let cancel = () => {}

  async function look(): Promise<void> {
    cancel()
    const meanwhile: Happened[] = []
    later = meanwhile
    try {
      const whole = await load()
      later = undefined
      if (!ended) take(whole, meanwhile)
    } catch (error) {
      later = undefined
      if (ended) return
      if (error instanceof ServerRefusal && error.away) cancel = clock.after(LOOK_AGAIN_AFTER, () => void ask())
      else refused(error)
    }
  }

  function begin(): Promise<void> {
    running = look().finally(() => (running = undefined))
    return running
  }

  function ask(): Promise<void> {
    if (!running) return begin()
    next ??= running.then(() => {
      next = undefined
      return begin()
    })
    return next
  }

  return {
    ask,
    heard: (events) => void later?.push(...events),
    end: () => {
      ended = true
      cancel()
    },
  }
}
