import { once } from 'node:events'
import type { ServerResponse } from 'node:http'
import { createEventStream, type EventStreamMessage, type H3Event } from 'h3'
import type { LessonEvent } from '../../core/lesson'
import { lastEventNumber, listEventsSince, watch, type WrittenEvent } from '../database/announcing'
import { afterAway, hear } from '../database/hearing'
import { findLesson, type StoredLesson } from '../database/lessons'
import { deskOf, type AtDesk } from '../access/door'
import type { Database } from '../database/open'
import { enter, watchPresence } from './presence'

/** A page takes a line that is silent for twelve seconds for one that hangs. */
export const KEEP_ALIVE_EVERY = 5000
/** A page that takes nothing is let go when so many bytes wait for it, or so many events while it still catches up. */
export const MOST_BYTES = 2_000_000
const MOST_EVENTS = 20_000
const AT_ONCE = 200
const PATIENCE = 30_000

interface Open {
  lessons: string[]
  /** The desk whose page it is: a class's own, the head desk (null); undefined for a station. */
  desk: string | null | undefined
  end(): void
}
const open = new Set<Open>()

/** A stream that is ended with all others, or with those of one of its lessons; the answer forgets it. */
export function keepTrack(stream: Open): () => void {
  open.add(stream)
  return () => open.delete(stream)
}

/** A station that watches: it is there as long as its stream is, and sees what `sees` lets through. */
export interface WatchingStation {
  id: string
  sees(event: LessonEvent): boolean
  /** What it is told of an event that it sees. */
  shown(event: LessonEvent): LessonEvent
}

/**
 * Streams a lesson's events: first all since the number that the page has, then every new one as it comes. A browser that
 * reconnects by itself names the last number it saw.
 * @param watcher a station, which has no stream any more once it was sent away, or the page of a desk, which is told when stations come and go
 */
export function streamLesson(
  event: H3Event,
  database: Database,
  lesson: StoredLesson,
  since: number,
  watcher: { station: WatchingStation } | AtDesk,
) {
  const station = 'station' in watcher ? watcher.station : undefined
  const stream = createEventStream(event)
  const lastSeen = Number(event.node.req.headers['last-event-id'])
  let sent = Number.isSafeInteger(lastSeen) && lastSeen > since ? lastSeen : since
  const { res } = event.node
  const push = (message: EventStreamMessage) => {
    // Whoever reads nothing would have all of it kept for ever.
    if (res.writableLength > MOST_BYTES) res.destroy()
    else void stream.push(message)
  }
  const written = ({ number, body, data }: WrittenEvent): EventStreamMessage => {
    const shown = station?.shown(body) ?? body
    return { id: String(number), data: shown === body ? data : JSON.stringify(shown) }
  }
  const pass = (fresh: WrittenEvent) => {
    const { number, body } = fresh
    if (number <= sent) return
    sent = number
    if (!station || station.sees(body)) push(written(fresh))
    if (body.kind === 'station' && body.change === 'removed' && body.station === station?.id) end()
  }
  /** What was missed goes as fast as the page takes it. */
  const passAll = async (missed: WrittenEvent[]) => {
    const seen = missed.filter(({ number, body }) => number > sent && (!station || station.sees(body)))
    sent = Math.max(sent, ...missed.map(({ number }) => number))
    await stream.push(seen.map(written))
    await new Promise((heard) => setImmediate(heard))
    const taken = res.writableLength < MOST_BYTES || (await drains(res))
    if (!taken) res.destroy()
  }
  const sayStillHere = () => push({ event: 'still-here', data: String(sent) })
  const gone = station
    ? enter(database, lesson.id, station.id)
    : watchPresence(lesson.id, () => push({ event: 'presence', data: '' }))
  const keepAlive = setInterval(sayStillHere, KEEP_ALIVE_EVERY)
  const early: WrittenEvent[] = []
  let listener: (fresh: WrittenEvent) => void = (fresh) => {
    if (early.push(fresh) > MOST_EVENTS) res.destroy()
  }
  const watching = watch(database, lesson.id, (fresh) => listener(fresh))
  const end = () => void stream.close()
  const forget = keepTrack({ lessons: [lesson.id], desk: 'desk' in watcher ? watcher.desk : undefined, end })
  if (!station) void mayStill(event, database, lesson.id).then((may) => may || end(), end)
  stream.onClosed(() => {
    clearInterval(keepAlive)
    void watching.then(
      (unwatch) => unwatch(),
      () => undefined,
    )
    gone()
    forget()
  })
  void watching
    .then(() => listEventsSince(database, lesson.id, sent))
    .then(async (missed) => {
      for (let from = 0; from < missed.length; from += AT_ONCE) await passAll(missed.slice(from, from + AT_ONCE))
      if (sent > (await lastEventNumber(database, lesson.id))) push({ event: 'older', data: '' })
      for (const one of early) pass(one)
      listener = pass
      // The first bytes tell the page that the line stands.
      sayStillHere()
    })
    .catch(end)
  return stream.send()
}

/** Is a page still at its desk, and its lesson with it: asked once the stream is known, so that nothing falls between a look and a hand-over. */
export async function mayStill(event: H3Event, database: Database, lesson: string): Promise<boolean> {
  const at = await deskOf(event)
  return at !== undefined && (at.desk === null || (await findLesson(database, lesson))?.desk === at.desk)
}

/** How many pages follow a lesson at this process. */
export const openStreams = (): number => open.size

/** Takes the other side what waits for it. */
function drains(response: ServerResponse): Promise<boolean> {
  const control = new AbortController()
  const drained = once(response, 'drain', { signal: control.signal }).then(() => true)
  const late = new Promise<boolean>((over) => setTimeout(() => over(false), PATIENCE).unref())
  return Promise.race([drained, late])
    .catch(() => false)
    .finally(() => control.abort())
}

/** Ends all streams, so that the server can close or pages look again; those of one lesson where it is named. */
export function endStreams(lesson?: string): void {
  for (const one of open) if (lesson === undefined || one.lessons.includes(lesson)) one.end()
}

hear((announcement) => {
  // Whoever watches comes back by itself, if it still may.
  if (announcement.what === 'archived') endStreams(announcement.lesson)
  if (announcement.what === 'access') endStreams()
  // What a desk may not see any more it does not hear any more; a page that still may comes back by itself.
  if (announcement.what === 'handed-over') endOf(({ lessons, desk }) => desk !== undefined && lessons.includes(announcement.lesson))
  if (announcement.what === 'desk') endOf(({ desk }) => desk === announcement.desk)
})

function endOf(which: (stream: Open) => boolean): void {
  for (const one of open) if (which(one)) one.end()
}
afterAway(() => endStreams())
