import { describe, expect, it } from 'vitest'
import { madeClock } from '../../test/madeClock'
import { waitingLine, type Kept, type Refused, type Sent, type Waiting, type WaitingState, type WaitingStore } from './waitingLine'
import { withKind } from './waitingStore'

/** A store that outlives the page. */
function madeStore(): WaitingStore & { line: Waiting[]; refused: Refused[] } {
  const kept = { line: [] as Waiting[], refused: [] as Refused[], sent: [] as Kept[] }
  return {
    get line() {
      return kept.line
    },
    get refused() {
      return kept.refused
    },
    load: () => Promise.resolve({ line: [...kept.line], refused: [...kept.refused] }),
    add: (waiting) => Promise.resolve(void kept.line.push(waiting)),
    remove: (id) => Promise.resolve(void (kept.line = kept.line.filter((one) => one.id !== id))),
    refuse: (refused) => Promise.resolve(void kept.refused.push(refused)),
    rename: (old, token) => {
      kept.line = kept.line.map((one) => (one.token === old ? { ...one, token } : one))
      kept.sent = kept.sent.map((one) => (one.token === old ? { ...one, token } : one))
      return Promise.resolve()
    },
    keep: (sent) => Promise.resolve(void (kept.sent.some(({ id }) => id === sent.id) || kept.sent.push(sent))),
    kept: (token) => Promise.resolve(kept.sent.filter((one) => one.token === token)),
    letGo: (before) => Promise.resolve(void (kept.sent = kept.sent.filter(({ sent }) => sent >= before))),
    clearRefused: () => Promise.resolve(void (kept.refused = [])),
  }
}

const DOWN: Sent = { waits: true, away: true, message: 'away' }
const PAUSED: Sent = { waits: true, away: false, message: 'paused' }
const entry = (id: string, token = 'elm') => ({ id, token, kind: 'reading' as const, body: { readings: [{ id }] } })

/** A station's page; `answers` says what the server does with each entry. */
function page(store: WaitingStore, answers: (waiting: Waiting) => Sent, clock = madeClock()) {
  const sent: string[] = []
  const states: WaitingState[] = []
  const line = waitingLine(
    store,
    async (waiting) => {
      await Promise.resolve()
      sent.push(waiting.id)
      return answers(waiting)
    },
    (state) => states.push(state),
    clock,
  )
  return { line, sent, states, clock, now: () => states.at(-1)! }
}

describe('the waiting line', () => {
  it('is sent in order, and what the server has is forgotten', async () => {
    const store = madeStore()
    const { line, sent, clock, now } = page(store, () => 'taken')
    for (const id of ['a', 'b', 'c']) await line.add(entry(id))
    await clock.pass(0)
    expect(sent).toEqual(['a', 'b', 'c'])
    expect([now().line, store.line]).toEqual([[], []])
  })

  it('offers again what it sent in the last two hours, in its order and before what waits, when the server lost it', async () => {
    let down = false
    const { line, sent, clock } = page(madeStore(), () => (down ? DOWN : 'taken'))
    await line.add(entry('long ago'))
    await clock.pass(90 * 60_000)
    for (const id of ['a', 'b']) await line.add(entry(id))
    await line.add(entry('of another group', 'oak'))
    await clock.pass(40 * 60_000)
    down = true
    await line.add(entry('c'))
    await clock.pass(0)
    sent.length = 0
    down = false
    await line.underToken('elm', 'elm, joined again')
    await line.offerAgain('elm, joined again')
    await clock.pass(3000)
    expect(sent).toEqual(['a', 'b', 'c'])
    await line.offerAgain('elm, joined again')
    await clock.pass(0)
    expect(sent).toEqual(['a', 'b', 'c', 'a', 'b', 'c'])
  })

  it('waits while the line is down, keeps its order, and is tried again every three seconds', async () => {
    let down = true
    const { line, sent, clock, now } = page(madeStore(), () => (down ? DOWN : 'taken'))
    await line.add(entry('a'))
    await line.add(entry('b'))
    await clock.pass(0)
    expect(new Set(sent)).toEqual(new Set(['a']))
    expect([now().away, now().line.map(({ id }) => id)]).toEqual([true, ['a', 'b']])
    sent.length = 0
    down = false
    await clock.pass(3000)
    expect(sent).toEqual(['a', 'b'])
    expect(now()).toMatchObject({ away: false, line: [] })
  })

  it('is neither waiting nor sent while it is being kept', async () => {
    const store = madeStore()
    let keep = () => {}
    const { line, now, clock } = page({ ...store, add: () => new Promise((done) => (keep = done)) }, () => 'taken')
    const adding = line.add(entry('a'))
    expect(now()).toMatchObject({ beingKept: 1, line: [] })
    keep()
    await adding
    await clock.pass(0)
    expect(now()).toMatchObject({ beingKept: 0, line: [] })
  })

  it('outlives a restart of the tablet, with the time at which each was entered', async () => {
    const store = madeStore()
    const first = page(store, () => DOWN)
    const enteredAt = first.clock.now()
    await first.line.add(entry('a'))
    await first.clock.pass(60_000)
    first.line.end()

    const second = page(store, () => 'taken', first.clock)
    expect((await second.line.restore()).map(({ id, since }) => [id, since])).toEqual([['a', enteredAt]])
    await second.clock.pass(0)
    expect([second.sent, store.line]).toEqual([['a'], []])
  })

  it('what is refused for good is said and kept, and holds nobody up', async () => {
    const store = madeStore()
    const { line, sent, clock, now } = page(store, ({ id }) =>
      id === 'a' ? { waits: false, away: false, message: 'This entry already belongs to another lesson.' } : 'taken',
    )
    await line.add(entry('a'))
    await line.add(entry('b'))
    await clock.pass(0)
    expect(sent).toEqual(['a', 'b'])
    expect(now().refused).toMatchObject([{ id: 'a', why: 'This entry already belongs to another lesson.' }])
    expect([store.line, store.refused.length]).toEqual([[], 1])
    await line.clearRefused()
    expect([now().refused, store.refused]).toEqual([[], []])
  })

  it('a station that is paused holds up its own entries only', async () => {
    const { line, clock, now } = page(madeStore(), ({ token }) => (token === 'elm' ? PAUSED : 'taken'))
    await line.add(entry('a', 'elm'))
    await line.add(entry('b', 'fir'))
    await line.add(entry('c', 'elm'))
    await clock.pass(0)
    expect(now().line.map(({ id }) => id)).toEqual(['a', 'c'])
    expect(now().away).toBe(false)
  })

  it('goes on under the token of a station that joined again for the same group', async () => {
    const store = madeStore()
    const { line, clock, now } = page(store, ({ token }) => (token === 'old' ? PAUSED : 'taken'))
    await line.add(entry('a', 'old'))
    await line.underToken('old', 'new')
    expect(store.line.map(({ token }) => token)).toEqual(['new'])
    await clock.pass(3000)
    expect(now().line).toEqual([])
  })

  it('what an earlier version kept with an address is known by its kind', () => {
    const kept = { id: 'a', token: 't', since: 1, body: {} }
    const kind = (path: string) => withKind({ ...kept, path } as unknown as Waiting).kind
    expect(
      ['readings', 'remarks', 'conclusions', 'observations', 'predictions', 'pictures'].map((list) => kind(`/api/station/${list}`)),
    ).toEqual(['reading', 'remark', 'conclusion', 'observation', 'prediction', 'picture'])
  })
})
