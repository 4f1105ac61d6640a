import { describe, expect, it } from 'vitest'
import type { Plan } from '~~/core/lesson'
import { soakUpPlan } from '../../test/soakUp'
import { later, madeClock } from '../../test/madeClock'
import { ServerRefusal } from './callServer'
import { saving, type Asked, type SaveState } from './saving'

const away = () => new ServerRefusal('away', 'The server cannot be reached.')
const stale = () => new ServerRefusal('stale', 'Somebody else was faster.')

/** A desk on a made clock, before a server that does what a test says. */
function desk(stored = soakUpPlan()) {
  const clock = madeClock()
  const states: SaveState[] = []
  const sent: { title: string; revision: number; leaving: boolean }[] = []
  const troubles: unknown[] = []
  const seen = { plan: stored, asked: undefined as Asked | undefined, silently: undefined as boolean | undefined, undo: '' }
  const server = {
    plan: stored,
    revision: 1,
    answer: undefined as (() => Promise<number>) | undefined,
  }
  const saver = saving(
    { plan: stored, revision: 1 },
    {
      current: () => seen.plan,
      put: (plan, revision, leaving) => {
        sent.push({ title: plan.title, revision, leaving })
        if (server.answer) return server.answer()
        if (revision !== server.revision) return Promise.reject(stale())
        server.plan = plan
        return Promise.resolve((server.revision += 1))
      },
      load: () => Promise.resolve({ plan: server.plan, revision: server.revision }),
      state: (state) => states.push(state),
      merged: (plan, theirs, silently) => Object.assign(seen, { plan, silently, undo: theirs.title }),
      ask: (asked) => (seen.asked = asked),
      trouble: (error) => troubles.push(error),
    },
    clock,
  )
  const edit = (change: Partial<Plan>) => {
    seen.plan = { ...seen.plan, ...change }
    saver.soon()
  }
  /** Another desk saved something. */
  const elsewhere = (change: Partial<Plan>) => {
    server.plan = { ...server.plan, ...change }
    server.revision += 1
  }
  return { clock, states, sent, troubles, seen, server, saver, edit, elsewhere }
}

describe('saving a plan', () => {
  it('waits for a pause in typing and sends once', async () => {
    const { clock, sent, edit, states } = desk()
    for (const title of ['S', 'So', 'Soa', 'Soak']) {
      edit({ title })
      await clock.pass(150)
    }
    expect(sent).toEqual([])
    await clock.pass(400)
    expect(sent).toEqual([{ title: 'Soak', revision: 1, leaving: false }])
    expect(states.at(-1)).toBe('saved')
  })

  it('that is overtaken by another change saves that one next, from the revision it has by then', async () => {
    const { clock, sent, edit, server, states } = desk()
    const slow = later<number>()
    server.answer = () => slow.promise
    edit({ title: 'first' })
    await clock.pass(400)
    edit({ title: 'second' })
    await clock.pass(5000)
    // One is on its way; the other waits for it.
    expect(sent).toHaveLength(1)
    expect(states.at(-1)).toBe('saving')
    server.answer = undefined
    server.revision = 2
    slow.keep(2)
    await clock.pass(400)
    expect(sent.at(-1)).toEqual({ title: 'second', revision: 2, leaving: false })
    expect(states.at(-1)).toBe('saved')
  })

  it('tries again while the server is away, and loses nothing that was typed meanwhile', async () => {
    const { clock, sent, edit, server, states, troubles } = desk()
    server.answer = () => Promise.reject(away())
    edit({ title: 'before' })
    await clock.pass(400)
    expect(states.at(-1)).toBe('away')
    await clock.pass(3000)
    expect(sent).toHaveLength(2)
    server.answer = undefined
    edit({ title: 'meanwhile' })
    await clock.pass(400)
    expect(server.plan.title).toBe('meanwhile')
    expect([states.at(-1), troubles]).toEqual(['saved', []])
  })

  it('says what the server refused and keeps it on the page', async () => {
    const { clock, edit, server, states, troubles, seen } = desk()
    const refused = new ServerRefusal('group-in-use', 'This group has readings.')
    server.answer = () => Promise.reject(refused)
    edit({ title: 'without Alder' })
    await clock.pass(400)
    expect([states.at(-1), troubles, seen.plan.title]).toEqual(['refused', [refused], 'without Alder'])
  })

  it('sends at once when the page goes away, and nothing when all is saved', async () => {
    const { clock, sent, edit, saver } = desk()
    await saver.flush()
    expect(sent).toEqual([])
    edit({ title: 'in a hurry' })
    await saver.flush()
    expect(sent).toEqual([{ title: 'in a hurry', revision: 1, leaving: true }])
    await clock.pass(10_000)
    expect(sent).toHaveLength(1)
  })

  it('typed while another one was on its way goes after it, even when the lesson is left meanwhile', async () => {
    const { clock, sent, edit, server, saver, seen } = desk()
    const slow = later<number>()
    server.answer = () => slow.promise
    edit({ title: 'first' })
    await clock.pass(400)
    edit({ title: 'last words' })
    const leaving = saver.flush()
    saver.end()
    seen.plan = undefined as never
    server.answer = undefined
    server.revision = 2
    slow.keep(2)
    await leaving
    await clock.pass(10_000)
    expect(sent).toEqual([
      { title: 'first', revision: 1, leaving: false },
      { title: 'last words', revision: 2, leaving: true },
    ])
    expect(server.plan.title).toBe('last words')
  })

  it('that something else waits for is stored when it goes on', async () => {
    const { clock, edit, server, saver } = desk()
    const slow = later<number>()
    server.answer = () => slow.promise
    edit({ title: 'first' })
    await clock.pass(400)
    edit({ title: 'second' })
    let goesOn = false
    const waiting = saver.flush().then(() => (goesOn = true))
    await clock.pass(1000)
    expect(goesOn).toBe(false)
    server.answer = undefined
    server.revision = 2
    slow.keep(2)
    await waiting
    expect(server.plan.title).toBe('second')
  })

  it('of a lesson that was closed goes on its way, and shows nothing any more', async () => {
    const { clock, sent, edit, saver, states } = desk()
    edit({ title: 'last words' })
    const sending = saver.flush()
    saver.end()
    await sending
    await clock.pass(10_000)
    expect(sent).toHaveLength(1)
    expect(states.at(-1)).toBe('saving')
  })
})

describe('two desks', () => {
  it('that changed different places have both changes in one plan, saved from the newer revision', async () => {
    const { clock, edit, elsewhere, seen, server, sent } = desk()
    elsewhere({ notes: 'theirs' })
    edit({ title: 'mine' })
    await clock.pass(400)
    expect([seen.plan.title, seen.plan.notes, seen.silently, seen.undo]).toEqual(['mine', 'theirs', false, soakUpPlan().title])
    await clock.pass(0)
    expect([server.plan.title, server.plan.notes, sent.at(-1)!.revision]).toEqual(['mine', 'theirs', 2])
  })

  it('that changed one place differently ask, and go on with what is chosen', async () => {
    const { clock, edit, elsewhere, seen, server, saver } = desk()
    elsewhere({ title: 'theirs' })
    edit({ title: 'mine' })
    await clock.pass(400)
    expect(seen.asked!.clashes).toHaveLength(1)
    expect(server.plan.title).toBe('theirs')
    saver.settle(seen.asked!, { ...seen.asked!.plan, title: 'ours' })
    await clock.pass(0)
    expect([server.plan.title, server.revision, seen.silently]).toEqual(['ours', 3, true])
  })

  it('a desk with nothing of its own takes what another saved; one that is typing does not', () => {
    const { edit, saver } = desk()
    expect([saver.shouldTake(2), saver.shouldTake(1)]).toEqual([true, false])
    edit({ title: 'mine' })
    expect([saver.shouldTake(2), saver.mayTake()]).toEqual([false, false])
  })
})
