import { createEventStream, type H3Event } from 'h3'
import { listEventsSince, watch, type WrittenEvent } from '../database/announcing'
import type { AtDesk } from '../access/door'
import type { Database } from '../database/open'
import { KEEP_ALIVE_EVERY, keepTrack, mayStill, MOST_BYTES } from './stream'
import { findTogether, type StoredTogether } from '../database/togethers'

/** Events of two lessons can be stored in another order than they are numbered: so many before the last one are sent once more, and taken up once. */
const SENT_AGAIN = 100

/**
 * The events of all lessons that run together in one stream, each with its lesson; of those that join later as well. A page takes up a row once however often it
 * comes, so a page that comes back is sent a little more than it missed.
 */
export function streamTogether(
  event: H3Event,
  database: Database,
  { id, lessons }: StoredTogether,
  since: number,
  { desk }: AtDesk,
) {
  const stream = createEventStream(event)
  const { req, res } = event.node
  const lastSeen = Number(req.headers['last-event-id'])
  let highest = Number.isSafeInteger(lastSeen) && lastSeen > since ? lastSeen : since
  const watched = new Map<string, Promise<() => void>>()
  const push = (lesson: string, { number, data }: WrittenEvent) => {
    highest = Math.max(highest, number)
    if (res.writableLength > MOST_BYTES) res.destroy()
    else void stream.push({ id: String(highest), data: `{"lesson":"${lesson}","event":${data}}` })
  }
  const follow = async (lesson: string): Promise<() => void> => {
    const from = Math.max(0, highest - SENT_AGAIN)
    let sent = from
    const pass = (fresh: WrittenEvent) => {
      if (fresh.number <= sent) return
      sent = fresh.number
      push(lesson, fresh)
      if (fresh.body.kind === 'together') void followNew().catch(close)
    }
    let early: WrittenEvent[] | undefined = []
    const end = await watch(database, lesson, (fresh) => (early ? early.push(fresh) : pass(fresh)))
    for (const missed of await listEventsSince(database, lesson, from)) pass(missed)
    for (const fresh of early) pass(fresh)
    early = undefined
    return end
  }
  const close = () => void stream.close()
  const begin = (lesson: string) => {
    if (watched.has(lesson)) return
    const following = follow(lesson)
    watched.set(lesson, following)
    // A lesson that nobody could begin to follow would be silent for good: the page comes back and follows all of them.
    following.catch(close)
  }
  const followNew = async () => {
    const now = await findTogether(database, id)
    for (const lesson of now?.lessons ?? []) begin(lesson.id)
  }
  const sayStillHere = () => void stream.push({ event: 'still-here', data: String(highest) })
  const keepAlive = setInterval(sayStillHere, KEEP_ALIVE_EVERY)
  for (const lesson of lessons) begin(lesson.id)
  const [first] = lessons
  if (first) void mayStill(event, database, first.id).then((may) => may || close(), close)
  const forget = keepTrack({ lessons: lessons.map((lesson) => lesson.id), desk, end: close })
  stream.onClosed(() => {
    clearInterval(keepAlive)
    forget()
    for (const one of watched.values())
      void one.then(
        (unwatch) => unwatch(),
        () => undefined,
      )
  })
  void Promise.all(watched.values()).then(sayStillHere, close)
  return stream.send()
}
