import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { clientFor, reading, type WholeLesson } from '../api/client'
import { startApplication, type Application } from '../application'
import { startPostgres, type PostgresServer } from '../postgres'
import { deskAt, raceOwnQuestions, racePlanAgainstRows, raceSplitsAgainstRows, sumOf, TAKEN_AWAY } from '../races'
import { followEvents } from '../soak/eventLine'

const PASSPHRASE = 'grey heron by the pond'
let server: PostgresServer
let machines: [Application, Application]
let desk: Record<string, string>
let lesson: WholeLesson['lesson']

const at = (machine: 0 | 1) => clientFor(machines[machine].base)
const sleep = (milliseconds: number) => new Promise((next) => setTimeout(next, milliseconds))
const until = async (holds: () => boolean | Promise<boolean>, within = 60_000) => {
  for (let rest = 0; rest < within && !(await holds()); rest += 50) await sleep(50)
  return holds()
}

beforeAll(async () => {
  server = await startPostgres()
  const environment = { DATABASE_URL: await server.database('school') }
  // Both at once on an empty database: one makes the tables, the other waits.
  machines = (await Promise.all(['one', 'two'].map((name) => startApplication({ data: `/nowhere/${name}`, environment })))) as [
    Application,
    Application,
  ]
  const opened = await at(0).call('PUT', '/api/class-mode', { passphrase: PASSPHRASE })
  desk = { cookie: opened.headers.getSetCookie()[0]!.split(';')[0]! }
  const { body } = await at(0).call<{ id: string }>('POST', '/api/lessons', { investigation: 'soak-up-strips' }, desk)
  lesson = (await at(1).call<WholeLesson>('GET', `/api/lessons/${body.id}`, undefined, desk)).body.lesson
}, 120_000)
afterAll(async () => {
  await Promise.all(machines.map((machine) => machine.stop()))
  server.stop()
})

const stations = async (machine: 0 | 1) =>
  (
    await at(machine).call<{ stations: { id: string; present: boolean }[] }>(
      'GET',
      `/api/lessons/${lesson.id}/stations`,
      undefined,
      desk,
    )
  ).body.stations

describe('two processes on one database', () => {
  it('what is sent to one arrives at the other, all of it and in order, however many write at once', async () => {
    const address = (machine: 0 | 1) => `${machines[machine].base}/api/lessons/${lesson.id}/events`
    const lines = ([0, 1, 0, 1] as const).map((machine) => followEvents(address(machine), desk))
    await sleep(500)
    const groups = lesson.plan.groups
    const sent: string[] = []
    const write = async (writer: number) => {
      for (let number = 0; number < 60; number += 1) {
        const row = reading(lesson.plan, { group: groups[writer % groups.length]!.id, repeat: 1 + (number % 3), value: number })
        const { status } = await at((writer % 2) as 0 | 1).call(
          'POST',
          `/api/lessons/${lesson.id}/readings`,
          { readings: [row] },
          desk,
        )
        expect(status).toBe(200)
        sent.push(row.id)
      }
    }
    await Promise.all(Array.from({ length: 16 }, (_, writer) => write(writer)))
    const arrived = await until(() => lines.every((line) => sent.every((id) => line.arrived.has(id))))
    const skipped = lines.map((line) => sent.filter((id) => !line.arrived.has(id)).length)
    for (const line of lines) line.close()
    expect([arrived, skipped]).toEqual([true, [0, 0, 0, 0]])
    expect(new Set(lines.map((line) => [...line.arrived.keys()].join())).size).toBe(1)
  })

  it('a station is there for both, is paused at both at once, and its token is dead at both', async () => {
    const token = await at(0).joinStation(lesson.code, lesson.plan.groups[0]!.id)
    const line = followEvents(`${machines[0].base}/api/station/events?token=${token.authorization!.slice(7)}`, {})
    expect(await until(async () => (await stations(1)).some(({ present }) => present))).toBe(true)
    const { id } = (await stations(1))[0]!
    const send = (machine: 0 | 1) => at(machine).call('POST', '/api/station/readings', { readings: [reading(lesson.plan)] }, token)
    for (let time = 0; time < 10; time += 1) {
      const locked = time % 2 === 0
      await at(1).call('PUT', `/api/lessons/${lesson.id}/stations`, { stations: [id], locked }, desk)
      expect((await send(0)).status).toBe(locked ? 423 : 200)
    }
    await at(1).call('DELETE', `/api/lessons/${lesson.id}/stations/${id}`, undefined, desk)
    expect([(await send(0)).status, (await send(1)).status]).toEqual([401, 401])
    line.close()
    expect(await until(async () => (await stations(1)).length === 0)).toBe(true)
  })

  it('a tablet that answers no more is away for both after a few seconds, though its stream stands; and there again when it answers', async () => {
    const token = await at(0).joinStation(lesson.code, lesson.plan.groups[1]!.id)
    const line = followEvents(`${machines[0].base}/api/station/events?token=${token.authorization!.slice(7)}`, {})
    const there = async () => (await stations(1)).some(({ present }) => present)
    expect(await until(there)).toBe(true)
    // Whichever process it reaches.
    expect((await at(1).call('GET', '/api/station/here', undefined, token)).status).toBe(200)
    expect(await there()).toBe(true)
    // Its stream stands all the while; before, it would have been there for as long.
    expect(await until(async () => !(await there()))).toBe(true)
    await at(1).call('GET', '/api/station/here', undefined, token)
    expect(await until(there)).toBe(true)
    line.close()
  }, 300_000)

  it('the board, a lesson put away and a passphrase are the same at both', async () => {
    await at(0).call('PUT', `/api/lessons/${lesson.id}/board`, { view: 'join', results: 'live' }, desk)
    expect((await at(1).call('GET', `/api/lessons/${lesson.id}/board`, undefined, desk)).body).toMatchObject({
      board: { view: 'join', results: 'live' },
    })
    await at(1).call('PUT', `/api/lessons/${lesson.id}/archived`, { archived: true }, desk)
    expect((await at(0).call('GET', `/api/stations?code=${encodeURIComponent(lesson.code)}`)).status).toBe(404)
    await at(0).call('PUT', `/api/lessons/${lesson.id}/archived`, { archived: false }, desk)
    const added = await at(0).call<{ id: string }>('POST', '/api/desks', { name: 'Wren', passphrase: 'a nest of twigs' }, desk)
    const wren = await at(1).call('POST', '/api/desk', { passphrase: 'a nest of twigs', desk: added.body.id })
    const own = { cookie: wren.headers.getSetCookie()[0]!.split(';')[0]! }
    expect((await at(0).call<{ all: number }>('GET', '/api/lessons', undefined, own)).body.all).toBe(0)
    await at(1).call('DELETE', `/api/desks/${added.body.id}`, undefined, desk)
    expect((await at(0).call('GET', '/api/lessons', undefined, own)).status).toBe(401)
  })

  it('wrong passphrases are counted together, and many at once are no way round', async () => {
    const begun = Date.now()
    const guesses = Array.from({ length: 400 }, (_, number) =>
      at((number % 2) as 0 | 1)
        .call('POST', '/api/desk', { passphrase: `wrong passphrase ${number}` })
        .then(({ status }) => status),
    )
    const statuses = await Promise.all(guesses)
    // Five are free, and on a slow machine a try comes when the wait of four seconds is over.
    const heard = 5 + Math.floor((Date.now() - begun) / 4000)
    expect(statuses.filter((status) => status === 401).length).toBeLessThanOrEqual(heard)
    expect(statuses.filter((status) => status === 429).length).toBeGreaterThanOrEqual(400 - heard)
  })

  it.each(Object.keys(TAKEN_AWAY))(
    'a plan without a %s at one and rows of it at the other: one of the two is told',
    async (what) => {
      const desks = machines.map(({ base }) => deskAt(base, desk))
      const all = []
      for (const [place, after] of [0, 0, 0, 0, 1, 2, 5, 5].entries())
        all.push(await racePlanAgainstRows(desks[place % 2]!, desks[1 - (place % 2)]!, what, after))
      expect(sumOf(all)).toMatchObject({ lost: 0, homeless: 0, broken: [] })
    },
  )

  it('groups are split off and joined again at both while they write at both', async () => {
    const [one, other] = machines.map(({ base }) => deskAt(base, desk))
    const raced = await raceSplitsAgainstRows(one!, other!, 10)
    expect(raced).toMatchObject({ lost: 0, doubled: 0, homeless: 0, broken: [], splits: 10 })
    expect(raced.taken).toBeGreaterThan(20)
  })

  it('questions that are asked at both at the same moment all run together', async () => {
    const desks = machines.map(({ base }) => deskAt(base, desk))
    expect(await raceOwnQuestions(desks)).toEqual({ refused: [], running: 5, joined: 5 })
  })

  it('a desk that got another passphrase, or lost a lesson, hears nothing more at the other process', async () => {
    const added = await at(0).call<{ id: string }>('POST', '/api/desks', { name: 'Finch', passphrase: 'a bowl of seeds' }, desk)
    const opened = await at(1).call('POST', '/api/desk', { passphrase: 'a bowl of seeds', desk: added.body.id })
    const own = { cookie: opened.headers.getSetCookie()[0]!.split(';')[0]! }
    const { body: made } = await at(1).call<{ id: string }>('POST', '/api/lessons', { investigation: 'swing-time' }, own)
    const listen = async () => {
      const stream = await fetch(`${machines[1].base}/api/lessons/${made.id}/events?since=0`, { headers: own })
      let over = false
      void stream.text().then(
        () => (over = true),
        () => (over = true),
      )
      await sleep(200)
      return { status: stream.status, isOver: () => over }
    }
    const first = await listen()
    await at(0).call('PUT', `/api/lessons/${made.id}/desk`, { desk: null }, desk)
    expect(await until(first.isOver)).toBe(true)
    expect((await listen()).status).toBe(404)
    await at(0).call('PUT', `/api/lessons/${made.id}/desk`, { desk: added.body.id }, desk)
    const second = await listen()
    await at(0).call('PUT', `/api/desks/${added.body.id}`, { name: 'Finch', passphrase: 'another bowl of seeds' }, desk)
    expect(await until(second.isOver)).toBe(true)
    expect((await listen()).status).toBe(401)
  })

  it('a database that goes away in the middle loses nothing of what was acknowledged, and is found again', async () => {
    const line = followEvents(`${machines[1].base}/api/lessons/${lesson.id}/events`, desk)
    await sleep(300)
    const acknowledged: string[] = []
    const statuses = new Set<number>()
    let goesOn = true
    const lives = new Set<number>()
    const ask = async () => {
      while (goesOn) {
        // An idle connection may be closed just as it is taken up again: that is no answer.
        const answer = await at(0)
          .call('GET', '/api/health')
          .catch(() => undefined)
        if (answer) lives.add(answer.status)
        await sleep(50)
      }
    }
    const write = async (writer: number) => {
      while (goesOn) {
        const row = reading(lesson.plan, { id: randomUUID(), repeat: 1 + (writer % 3) })
        for (let sent = false; !sent;) {
          const { status } = await at((writer % 2) as 0 | 1)
            .call('POST', `/api/lessons/${lesson.id}/readings`, { readings: [row] }, desk)
            .catch(() => ({ status: 0 }))
          statuses.add(status)
          sent = status === 200
          if (!sent) await sleep(100)
        }
        acknowledged.push(row.id)
      }
    }
    const writers = Array.from({ length: 6 }, (_, writer) => write(writer))
    const asking = ask()
    await sleep(700)
    server.restart('fast')
    const before = acknowledged.length
    expect(await until(() => acknowledged.length > before + 30)).toBe(true)
    goesOn = false
    await Promise.all([...writers, asking])
    expect([...lives].filter((status) => ![200, 503].includes(status))).toEqual([])
    expect(lives.has(200)).toBe(true)
    const { record } = (await at(0).call<WholeLesson>('GET', `/api/lessons/${lesson.id}`, undefined, desk)).body
    const stored = record.readings.map(({ id }) => id)
    expect(acknowledged.filter((id) => !stored.includes(id))).toEqual([])
    expect(new Set(stored).size).toBe(stored.length)
    expect(await until(() => acknowledged.every((id) => line.arrived.has(id)))).toBe(true)
    line.close()
    // Whoever asked meanwhile was told to come back.
    expect([...statuses].filter((status) => ![200, 503].includes(status))).toEqual([])
    // It is said in one line at each process, and not in the words of a program.
    for (const machine of machines) {
      expect(
        machine
          .printed()
          .split('\n')
          .filter((line) => line.includes('cannot be reached')).length,
      ).toBeLessThanOrEqual(1)
      expect(machine.printed()).not.toMatch(/^\s+at /m)
    }
  })
})
