import { createEventStream, type H3Event } from 'h3'
import { listEventsSince, watch, type WrittenEvent } from '../database/announcing'
import type { Database } from '../database/open'
import { enter, watchPresence } from './presence'

const KEEP_ALIVE_EVERY = 20_000
const open = new Set<() => void>()

/**
 * Streams a lesson's events: first all since the number that the page has, then every new one as it comes. A browser that
 * reconnects by itself names the last number it saw.
 * @param station is there as long as its stream is, and has none any more once it was sent away. A page that is no station is told
 *   when stations come and go.
 */
export function streamLesson(event: H3Event, database: Database, lesson: string, since: number, station?: string) {
  const stream = createEventStream(event)
  const lastSeen = Number(event.node.req.headers['last-event-id'])
  let sent = Number.isSafeInteger(lastSeen) && lastSeen > since ? lastSeen : since
  const push = ({ number, body, data }: WrittenEvent) => {
    if (number <= sent) return
    sent = number
    const sentAway = body.kind === 'station' && body.change === 'removed' && body.station === station
    void stream.push({ id: String(number), data }).then(() => sentAway && end())
  }
  const waiting: WrittenEvent[] = []
  let listener: (fresh: WrittenEvent) => void = (fresh) => waiting.push(fresh)
  const unwatch = watch(lesson, (fresh) => listener(fresh))
  const gone = station ? enter(lesson, station) : watchPresence(lesson, () => void stream.push({ event: 'presence', data: '' }))
  const sayStillHere = () => void stream.push({ event: 'still-here', data: '' })
  const keepAlive = setInterval(sayStillHere, KEEP_ALIVE_EVERY)
  const end = () => void stream.close()
  open.add(end)
  stream.onClosed(() => {
    clearInterval(keepAlive)
    unwatch()
    gone()
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
