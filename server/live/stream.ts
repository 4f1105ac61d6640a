import { createEventStream, type H3Event } from 'h3'
import { listEventsSince } from '../database/events'
import type { Database } from '../database/open'
import { watch, type NumberedEvent } from './events'

const KEEP_ALIVE_EVERY = 20_000
const open = new Set<() => void>()

/**
 * Streams a lesson's events: first all since the number that the page has, then every new one as it comes. A browser that
 * reconnects by itself names the last number it saw.
 */
export function streamLesson(event: H3Event, database: Database, lesson: string, since: number) {
  const stream = createEventStream(event)
  const lastSeen = Number(event.node.req.headers['last-event-id'])
  let sent = Number.isSafeInteger(lastSeen) && lastSeen > since ? lastSeen : since
  const push = ({ number, body }: NumberedEvent) => {
    if (number <= sent) return
    sent = number
    void stream.push({ id: String(number), data: JSON.stringify(body) })
  }
  const waiting: NumberedEvent[] = []
  let listener: (fresh: NumberedEvent) => void = (fresh) => waiting.push(fresh)
  const unwatch = watch(lesson, (fresh) => listener(fresh))
  const sayStillHere = () => void stream.push({ event: 'still-here', data: '' })
  const keepAlive = setInterval(sayStillHere, KEEP_ALIVE_EVERY)
  const end = () => void stream.close()
  open.add(end)
  stream.onClosed(() => {
    clearInterval(keepAlive)
    unwatch()
    open.delete(end)
  })
  void listEventsSince(database, lesson, sent).then((missed) => {
    for (const one of [...missed, ...waiting]) push(one)
    listener = push
    // The first bytes tell the page that the line stands.
    sayStillHere()
  }, end)
  return stream.send()
}

/** Ends all streams, so that the server can close. */
export function endStreams(): void {
  for (const end of open) end()
}
