import type { LessonEvent } from '~~/core/lesson'

const TRY_AGAIN_AFTER = 2000
const REST_AFTER = 5000

/**
 * Follows a lesson's events from a number on; `onState` says whether the line stands, `onPresence` that a station came or
 * went. A browser reconnects by itself after a
 * lost line, but gives up when the server answers that it is not ready: then a new stream goes on from the last number seen.
 * A page that nobody sees lets its stream go and catches up when it is shown again, since a browser keeps only six open.
 * @returns ends it
 */
export function watchEvents(
  address: string,
  since: number,
  onEvent: (event: LessonEvent) => void,
  onState: (connected: boolean) => void,
  onPresence?: () => void,
): () => void {
  let last = since
  let source: EventSource | undefined
  let timer: ReturnType<typeof setTimeout> | undefined

  function open(): void {
    rest()
    source = new EventSource(`${address}${address.includes('?') ? '&' : '?'}since=${last}`)
    source.onmessage = (message: MessageEvent<string>) => {
      last = Number(message.lastEventId) || last
      onEvent(JSON.parse(message.data) as LessonEvent)
    }
    if (onPresence) source.addEventListener('presence', onPresence)
    source.onopen = () => onState(true)
    source.onerror = () => {
      onState(false)
      if (source?.readyState === EventSource.CLOSED) timer = setTimeout(open, TRY_AGAIN_AFTER)
    }
  }

  function rest(): void {
    clearTimeout(timer)
    source?.close()
    source = undefined
  }

  function onVisibility(): void {
    clearTimeout(timer)
    if (document.hidden) timer = setTimeout(rest, REST_AFTER)
    else if (!source || source.readyState === EventSource.CLOSED) open()
  }

  open()
  document.addEventListener('visibilitychange', onVisibility)
  return () => {
    document.removeEventListener('visibilitychange', onVisibility)
    rest()
  }
}
