import type { LessonEvent } from '~~/core/lesson'
import { deviceClock, type Clock } from './clock'

const TRY_AGAIN_AFTER = 2000
const REST_AFTER = 5000
/** The server says every few seconds that it is still there; a line that says nothing for so long hangs. */
const SILENT_FOR = 12_000

/** What a line needs of the browser; a test brings its own. */
export interface Browser {
  open(address: string): EventSource
  hidden(): boolean
  /** Calls back when the page is hidden or shown; the answer ends it. */
  watch(listener: () => void): () => void
}

const thisBrowser: Browser = {
  open: (address) => new EventSource(address),
  hidden: () => document.hidden,
  watch: (listener) => {
    document.addEventListener('visibilitychange', listener)
    return () => document.removeEventListener('visibilitychange', listener)
  },
}

export interface LineListeners<Happened = LessonEvent> {
  event(event: Happened): void
  /** Does the line stand. */
  state(stands: boolean): void
  /** A station came or went. */
  presence?(): void
  /** The server gave a sign of life: who is watched answers it. */
  stillHere?(): void
  /** The server's data are older than what this page has seen: they came back from a snapshot. */
  older?(): void
}

/**
 * A lesson's events as they come, from a number on. A browser reconnects by itself after a lost line, but gives up when the server
 * answers that it is not ready: then a new stream goes on from the last number seen. A page that nobody sees lets its stream go
 * and catches up when it is shown again, since a browser keeps only six open. A line can hang without ever closing; then it is
 * opened anew, again and again.
 * @param address of the events since a number
 * @returns ends it
 */
export function openLine<Happened = LessonEvent>(
  address: (since: number) => string,
  since: number,
  listeners: LineListeners<Happened>,
  clock: Clock = deviceClock,
  browser: Browser = thisBrowser,
): () => void {
  let last = since
  let source: EventSource | undefined
  let cancel = () => {}
  let cancelSilence = () => {}

  function heard(): void {
    cancelSilence()
    cancelSilence = clock.after(SILENT_FOR, () => {
      listeners.state(false)
      open()
    })
  }

  function open(): void {
    rest()
    heard()
    source = browser.open(address(last))
    source.addEventListener('still-here', () => {
      heard()
      listeners.stillHere?.()
    })
    source.onmessage = (message: MessageEvent<string>) => {
      heard()
      last = Number(message.lastEventId) || last
      listeners.event(JSON.parse(message.data) as Happened)
    }
    if (listeners.presence) source.addEventListener('presence', listeners.presence)
    if (listeners.older) source.addEventListener('older', listeners.older)
    source.onopen = () => {
      heard()
      listeners.state(true)
    }
    source.onerror = () => {
      listeners.state(false)
      if (source?.readyState === source?.CLOSED) cancel = clock.after(TRY_AGAIN_AFTER, open)
    }
  }

  function rest(): void {
    cancel()
    cancelSilence()
    source?.close()
    source = undefined
  }

  const unwatch = browser.watch(() => {
    cancel()
    if (browser.hidden()) cancel = clock.after(REST_AFTER, rest)
    else if (!source || source.readyState === source.CLOSED) open()
  })
  open()
  return () => {
    unwatch()
    rest()
  }
}
