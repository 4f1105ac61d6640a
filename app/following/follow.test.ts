import { describe, expect, it } from 'vitest'
import type { LessonEvent } from '~~/core/lesson'
import { madeClock } from '../../test/madeClock'
import { follow } from './follow'
import { openLine, type Browser, type LineListeners } from './line'

const event = (revision: number): LessonEvent => ({ kind: 'plan', revision })

/** A server whose lesson can be away for a while, and what a page of it sees. */
function page({ downFor = 0, gone = false } = {}) {
  const clock = madeClock()
  const seen = { opened: 0, batches: [] as number[][], since: -1, closed: false, failed: 0 }
  let listeners!: LineListeners
  let down = downFor
  const end = follow(
    {
      load: () => (down-- > 0 ? Promise.reject(new Error('away')) : Promise.resolve({ event: 40 })),
      events: (since) => `/events?since=${since}`,
      opened: () => void (seen.opened += 1),
      take: (events) => seen.batches.push(events.map((one) => (one.kind === 'plan' ? one.revision : -1))),
      failed: () => {
        seen.failed += 1
        return !gone
      },
    },
    clock,
    (_address, since, own) => {
      listeners = own
      seen.since = since
      return () => (seen.closed = true)
    },
  )
  return { clock, seen, end, older: () => listeners.older!(), hear: (revision: number) => listeners.event(event(revision)) }
}

describe('following a lesson', () => {
  it('goes on from the event that the whole of it already has', async () => {
    const { clock, seen } = page()
    await clock.pass(0)
    expect([seen.opened, seen.since]).toEqual([1, 40])
  })

  it('takes up together what comes together, in its order', async () => {
    const { clock, seen, hear } = page()
    await clock.pass(0)
    for (const revision of [1, 2, 3]) hear(revision)
    expect(seen.batches).toEqual([])
    await clock.pass(100)
    hear(4)
    await clock.pass(100)
    expect(seen.batches).toEqual([[1, 2, 3], [4]])
  })

  it('begins anew where the server’s data are older than what it has seen', async () => {
    const { clock, seen, older } = page()
    await clock.pass(0)
    older()
    await clock.pass(0)
    expect([seen.opened, seen.closed, seen.since]).toEqual([2, true, 40])
  })

  it('looks again until the server is there, and not at all where there is no such lesson', async () => {
    const away = page({ downFor: 2 })
    await away.clock.pass(2900)
    expect([away.seen.opened, away.seen.failed]).toEqual([0, 1])
    await away.clock.pass(3200)
    expect([away.seen.opened, away.seen.failed]).toEqual([1, 2])
    const missing = page({ downFor: 99, gone: true })
    await missing.clock.pass(60_000)
    expect(missing.seen.failed).toBe(1)
  })

  it('ended, it hears nothing more and gives its line back', async () => {
    const { clock, seen, hear, end } = page()
    await clock.pass(0)
    hear(1)
    end()
    await clock.pass(1000)
    expect([seen.batches, seen.closed]).toEqual([[], true])
  })
})

/** A browser whose pages can be hidden, and whose streams a test breaks. */
function madeBrowser() {
  const sources: { address: string; readyState: number; CLOSED: number; close(): void; onopen?(): void; onerror?(): void }[] = []
  let hidden = false
  let changed = () => {}
  const browser: Browser = {
    open: (address) => {
      const source = { address, readyState: 0, CLOSED: 2, addEventListener: () => {}, close: () => (source.readyState = 2) }
      sources.push(source)
      return source as unknown as EventSource
    },
    hidden: () => hidden,
    watch: (listener) => {
      changed = listener
      return () => (changed = () => {})
    },
  }
  const show = (shown: boolean) => {
    hidden = !shown
    changed()
  }
  const last = () =>
    sources.at(-1)! as (typeof sources)[number] & { onmessage(message: { lastEventId: string; data: string }): void }
  return { browser, sources, show, last, open: () => sources.filter(({ readyState }) => readyState !== 2).length }
}

describe('a line', () => {
  function line() {
    const clock = madeClock()
    const made = madeBrowser()
    const heard: LessonEvent[] = []
    const states: boolean[] = []
    const end = openLine(
      (since) => `/events?since=${since}`,
      7,
      { event: (one) => heard.push(one), state: (stands) => states.push(stands) },
      clock,
      made.browser,
    )
    return { clock, ...made, heard, states, end }
  }

  it('is given back by a page that nobody sees, and goes on from the last number when it is shown again', async () => {
    const { clock, show, last, open, sources, heard } = line()
    last().onmessage({ lastEventId: '9', data: JSON.stringify(event(3)) })
    expect(heard).toEqual([event(3)])
    show(false)
    await clock.pass(4000)
    expect(open()).toBe(1)
    await clock.pass(2000)
    expect(open()).toBe(0)
    show(true)
    expect(sources.map(({ address }) => address)).toEqual(['/events?since=7', '/events?since=9'])
  })

  it('a page that is hidden for a moment keeps it', async () => {
    const { clock, show, sources } = line()
    show(false)
    await clock.pass(1000)
    show(true)
    await clock.pass(10_000)
    expect(sources).toHaveLength(1)
  })

  it('that the server refused for now is opened again; one that the browser mends is left to it', async () => {
    const { clock, last, sources, states } = line()
    last().onerror!()
    await clock.pass(5000)
    expect(sources).toHaveLength(1)
    last().readyState = 2
    last().onerror!()
    await clock.pass(2000)
    expect(sources).toHaveLength(2)
    last().onopen!()
    expect(states).toEqual([false, false, true])
  })

  it('that hangs counts as down and is opened anew, as often as it takes, until it speaks', async () => {
    const { clock, last, open, sources, states } = line()
    last().onopen!()
    await clock.pass(11_000)
    last().onmessage({ lastEventId: '8', data: JSON.stringify(event(3)) })
    await clock.pass(11_000)
    expect(states).toEqual([true])
    await clock.pass(14_000)
    expect([states, sources.length, open()]).toEqual([[true, false, false], 3, 1])
    last().onopen!()
    await clock.pass(11_000)
    expect([states.at(-1), sources.at(-1)!.address]).toEqual([true, '/events?since=8'])
  })

  it('ended, opens nothing any more', async () => {
    const { clock, last, sources, show, end } = line()
    last().readyState = 2
    last().onerror!()
    end()
    show(false)
    show(true)
    await clock.pass(60_000)
    expect(sources).toHaveLength(1)
  })
})
