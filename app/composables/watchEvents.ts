import type { LessonEvent } from '~~/server/live/events'

/**
 * Follows a lesson's events from a number on. The browser reconnects by itself and names the last number it saw, so that
 * nothing is missed; `onState` says whether the line stands.
 * @returns ends it
 */
export function watchEvents(
  address: string,
  onEvent: (event: LessonEvent) => void,
  onState: (connected: boolean) => void,
): () => void {
  const source = new EventSource(address)
  source.onmessage = (message: MessageEvent<string>) => onEvent(JSON.parse(message.data) as LessonEvent)
  source.onopen = () => onState(true)
  source.onerror = () => onState(false)
  return () => source.close()
}
