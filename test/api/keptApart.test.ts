import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { Measure, Plan } from '../../core/lesson'
import type { StationView } from '../../schemas/contract'
import { startApplication, temporaryFolder, type Application } from '../application'
import { clientFor, prediction, reading, type WholeLesson } from './client'
import { readBy, withMethodOn } from '../../core/test'

const PASSPHRASE = 'grey heron by the pond'
const SECRET = 'only Alder knows'
const { folder, remove } = temporaryFolder()
let application: Application
let desk: Record<string, string>

const api = () => clientFor(application.base)
const cookieOf = (headers: Headers) => ({ cookie: headers.getSetCookie()[0]!.split(';')[0]! })
const asDesk = <T = unknown>(method: string, path: string, body?: unknown, at = desk) => api().call<T>(method, path, body, at)

beforeAll(async () => {
  application = await startApplication({ data: folder })
  desk = cookieOf((await api().call('PUT', '/api/class-mode', { passphrase: PASSPHRASE })).headers)
}, 120_000)
afterAll(async () => {
  await application.stop()
  remove()
})

async function newLesson(at = desk): Promise<WholeLesson['lesson']> {
  const { body } = await asDesk<{ id: string }>('POST', '/api/lessons', { investigation: 'soak-up-strips' }, at)
  return (await asDesk<WholeLesson>('GET', `/api/lessons/${body.id}`, undefined, at)).body.lesson
}

/** Everything that comes over a station's stream, and whether it has ended. */
function listen(token: Record<string, string>, since = 0) {
  const heard = { text: '', ended: false, close: () => control.abort() }
  const control = new AbortController()
  void (async () => {
    const address = `${application.base}/api/station/events?since=${since}&token=${token.authorization!.slice(7)}`
    const response = await fetch(address, { signal: control.signal })
    const decoder = new TextDecoder()
    for await (const chunk of response.body!) heard.text += decoder.decode(chunk as Uint8Array, { stream: true })
    heard.ended = true
  })().catch(() => (heard.ended = true))
  return heard
}
const until = async (holds: () => boolean) => {
  for (let rest = 0; rest < 1200 && !holds(); rest += 1) await new Promise((next) => setTimeout(next, 50))
  return holds()
}

describe('a station', () => {
  it('sees and hears only its own group’s work while numbers are quiet, and all of it once they are shown', async () => {
    const lesson = await newLesson()
    const [alder, birch] = lesson.plan.groups as [Plan['groups'][0], Plan['groups'][0]]
    const remark = { id: randomUUID(), text: SECRET, kept: true, by: alder.id, later: false, answers: {} }
    const [card] = lesson.plan.measures
    const plan: Plan = {
      ...lesson.plan,
      notes: SECRET,
      wonder: { ...lesson.plan.wonder, wondered: [remark] },
      // Read in words for a while: what is expected stands in the other way, too.
      measures: (['words', 'number'] as const).reduce<Measure[]>(
        (cards, way) => cards.map((one) => withMethodOn(one, (method) => readBy(method, way))),
        [{ ...card!, method: { ...card!.method, expectedLow: 4321.5, expectedHigh: 8765.5 } }],
      ),
      groups: lesson.plan.groups.map((group) => ({ ...group, away: [2] })),
    }
    await asDesk('PUT', `/api/lessons/${lesson.id}/plan`, { plan, revision: lesson.revision })
    const [tokenA, tokenB] = [await api().joinStation(lesson.code, alder.id), await api().joinStation(lesson.code, birch.id)]
    const [heardA, heardB] = [listen(tokenA), listen(tokenB)]

    const picture = randomUUID()
    const png = Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 1, 2, 3]).toString('base64')
    const send = (path: string, body: unknown, token = tokenA) => api().call('POST', `/api/station/${path}`, body, token)
    await send('pictures', { id: picture, data: `data:image/png;base64,${png}` })
    const seen = { id: randomUUID(), group: alder.id, condition: null, repeat: null, kind: 'photo', text: SECRET, picture }
    const own = reading(plan, { group: alder.id, value: 61.25, status: 'set-aside', reason: SECRET })
    const statuses = [
      await send('readings', { readings: [own] }),
      await send('predictions', prediction(plan, { group: alder.id, reason: SECRET })),
      await send('remarks', { id: randomUUID(), list: 'noticed', text: SECRET }),
      await send('conclusions', { id: randomUUID(), from: null, text: SECRET }),
      await send('observations', seen),
    ].map(({ status }) => status)
    expect(statuses).toEqual([200, 200, 200, 200, 200])

    const viewOf = async (token: Record<string, string>) =>
      (await api().call<StationView>('GET', '/api/station', undefined, token)).body
    expect(await until(() => heardA.text.includes(seen.id))).toBe(true)
    expect((await viewOf(tokenA)).record.readings.map(({ id }) => id)).toEqual([own.id])
    const quiet = await viewOf(tokenB)
    expect(quiet.all).toBe(false)
    for (const text of [JSON.stringify(quiet), heardB.text]) {
      for (const word of [SECRET, own.id, picture, '4321.5', '8765.5']) expect(text).not.toContain(word)
    }
    expect(quiet.plan.groups.map(({ id, away }) => (id === birch.id ? away : away.length))).toEqual(
      plan.groups.map(({ id }) => (id === birch.id ? [2] : 0)),
    )
    const look = (token: Record<string, string>) => api().call('GET', `/api/station/pictures/${picture}`, undefined, token)
    expect([(await look(tokenA)).status, (await look(tokenB)).status]).toEqual([200, 404])

    // It is asked about a number among all, and learns nothing of where they lie.
    for (const group of plan.groups.slice(2, 6))
      await asDesk('POST', `/api/lessons/${lesson.id}/readings`, { readings: [reading(plan, { group: group.id, value: 60 })] })
    const asked = { group: birch.id, condition: plan.conditions[0]!.id, repeat: 1, moment: '', value: 6, unit: 'mm', entered: '6' }
    expect((await send('check', { readings: [asked] }, tokenB)).body).toMatchObject({
      doubts: [[{ code: 'slip-unit', unit: 'cm', suggested: 60, middle: null }]],
    })
    expect((await send('check', { readings: [asked] }, tokenA)).status).toBe(403)

    await asDesk('PUT', `/api/lessons/${lesson.id}/board`, { results: 'live' })
    const later = reading(plan, { group: alder.id, repeat: 2 })
    await send('readings', { readings: [later] })
    expect(await until(() => heardB.text.includes(later.id))).toBe(true)
    const shown = await viewOf(tokenB)
    expect([shown.all, shown.record.readings.length]).toEqual([true, 6])
    expect(JSON.stringify(shown)).not.toMatch(/4321\.5|8765\.5/)
    expect((await look(tokenB)).status).toBe(200)
    for (const line of [heardA, heardB]) line.close()
  })

  it('of a lesson that is put away loses its line at once, and its token', async () => {
    const lesson = await newLesson()
    const token = await api().joinStation(lesson.code, lesson.plan.groups[0]!.id)
    const line = listen(token)
    expect(await until(() => line.text.includes('still-here'))).toBe(true)
    await asDesk('PUT', `/api/lessons/${lesson.id}/archived`, { archived: true })
    expect(await until(() => line.ended)).toBe(true)
    expect((await api().call('GET', '/api/station', undefined, token)).status).toBe(401)
  })

  it('fills its own share of pictures only, and cannot lock others out by joining again and again', async () => {
    const lesson = await newLesson()
    const [one, other] = await Promise.all(lesson.plan.groups.slice(0, 2).map(({ id }) => api().joinStation(lesson.code, id)))
    const large = Buffer.alloc(1_000_000, 7)
    large.set([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a])
    large.writeUInt32BE(large.length - 20, 8)
    large.write('IDAT', 12)
    const data = `data:image/png;base64,${large.toString('base64')}`
    const statuses = []
    for (let number = 0; number < 10; number += 1)
      statuses.push((await api().call('POST', '/api/station/pictures', { id: randomUUID(), data }, one)).status)
    expect(statuses).toEqual([...Array<number>(8).fill(200), 409, 409])
    expect((await api().call('POST', '/api/station/pictures', { id: randomUUID(), data }, other)).status).toBe(200)

    const joins = []
    for (let number = 0; number < 70; number += 1)
      joins.push((await api().call('POST', '/api/stations', { code: lesson.code, group: lesson.plan.groups[0]!.id })).status)
    expect(joins).toContain(429)
    expect(joins.indexOf(429)).toBeGreaterThan(34)
    expect((await api().call('GET', '/api/station', undefined, other)).status).toBe(200)
  })
})

describe('a class’s own desk', () => {
  it('opens with its own passphrase, shows its own lessons over the shared cupboard, and hands a lesson over', async () => {
    const headLesson = await newLesson()
    const added = await asDesk<{ id: string }>('POST', '/api/desks', { name: 'Wren', passphrase: 'a nest of twigs' })
    const finch = await asDesk<{ id: string }>('POST', '/api/desks', { name: 'Finch', passphrase: 'a bowl of seeds' })
    expect((await asDesk('POST', '/api/desks', { name: 'Wren', passphrase: 'a nest of twigs' })).status).toBe(409)
    expect((await api().call('GET', '/api/desk')).body).toMatchObject({ desks: [{ name: 'Finch' }, { name: 'Wren' }] })
    const open = (passphrase: string, id: string | null) => api().call('POST', '/api/desk', { passphrase, desk: id })
    expect((await open(PASSPHRASE, added.body.id)).status).toBe(401)
    expect((await open('a nest of twigs', null)).status).toBe(401)
    const wren = cookieOf((await open('a nest of twigs', added.body.id)).headers)
    const seeds = cookieOf((await open('a bowl of seeds', finch.body.id)).headers)

    expect((await asDesk('GET', `/api/lessons/${headLesson.id}`, undefined, wren)).status).toBe(404)
    expect(
      (await asDesk('POST', `/api/lessons/${headLesson.id}/readings`, { readings: [reading(headLesson.plan)] }, wren)).status,
    ).toBe(404)
    const lesson = await newLesson(wren)
    const shelf = async (at: Record<string, string>) =>
      (await asDesk<{ lessons: { id: string }[] }>('GET', '/api/lessons', undefined, at)).body.lessons.map(({ id }) => id)
    expect([await shelf(wren), await shelf(seeds)]).toEqual([[lesson.id], []])
    expect(await shelf(desk)).toContain(lesson.id)
    const thing = { id: randomUUID(), name: 'Ruler', unit: 'pieces', stock: 3, place: '', minimum: null, pack: null, price: null }
    await asDesk('PUT', '/api/cupboard', thing, wren)
    expect((await asDesk<{ things: object[] }>('GET', '/api/cupboard', undefined, seeds)).body.things).toContainEqual(thing)
    for (const [method, path] of [
      ['DELETE', '/api/class-mode'],
      ['POST', '/api/desks'],
      ['DELETE', `/api/desks/${finch.body.id}`],
    ] as const)
      expect((await asDesk(method, path, method === 'POST' ? { name: 'x', passphrase: '12345678' } : undefined, wren)).status).toBe(
        403,
      )

    // What runs together is a desk's own; a lesson that is handed over leaves it, and a desk that is taken away leaves it to the head.
    const running = [lesson.id, (await newLesson(wren)).id]
    const { body: together } = await asDesk<{ id: string }>('POST', '/api/together', { lessons: running }, wren)
    const seen = async (at: Record<string, string>) => (await asDesk('GET', `/api/together/${together.id}`, undefined, at)).status
    expect([await seen(wren), await seen(seeds), await seen(desk)]).toEqual([200, 404, 200])
    expect((await asDesk('POST', '/api/together', { lessons: [running[1], headLesson.id] }, wren)).status).toBe(404)
    await asDesk('PUT', `/api/lessons/${running[1]}/desk`, { desk: null }, wren)

    await asDesk('PUT', `/api/lessons/${lesson.id}/desk`, { desk: finch.body.id }, wren)
    expect([await shelf(wren), await shelf(seeds)]).toEqual([[], [lesson.id]])
    const backup = await fetch(`${application.base}/api/library`, { headers: seeds })
    expect(Buffer.from(await backup.arrayBuffer()).includes(`${lesson.id}.beaker.json`)).toBe(true)

    // Another passphrase closes the desk wherever it is open; a desk that is taken away leaves its lessons at the head desk.
    await asDesk('PUT', `/api/desks/${finch.body.id}`, { name: 'Finch', passphrase: 'another bowl of seeds' })
    expect((await asDesk('GET', '/api/lessons', undefined, seeds)).status).toBe(401)
    await asDesk('DELETE', `/api/desks/${finch.body.id}`)
    expect(await shelf(desk)).toContain(lesson.id)
    expect((await asDesk('DELETE', `/api/desks/${added.body.id}`)).status).toBe(200)
    expect(await seen(desk)).toBe(200)
  })

  it('is left on one device alone', async () => {
    const other = cookieOf((await api().call('POST', '/api/desk', { passphrase: PASSPHRASE })).headers)
    const left = await api().call('DELETE', '/api/desk', undefined, other)
    expect(left.headers.getSetCookie()[0]).toMatch(/jolly-beaker-desk=;/)
    expect((await asDesk('GET', '/api/lessons')).status).toBe(200)
  })

  it('of four hundred passphrases at once at most five are checked, and pages answer meanwhile', async () => {
    let over = false
    let longest = 0
    const pages = (async () => {
      while (!over) {
        const start = performance.now()
        await asDesk('GET', '/api/lessons')
        longest = Math.max(longest, performance.now() - start)
      }
    })()
    const statuses = await Promise.all(
      Array.from({ length: 400 }, async (_, number) => {
        const { status } = await api().call('POST', '/api/desk', { passphrase: `wrong passphrase ${number}` })
        return status
      }),
    )
    over = true
    await pages
    expect(statuses.filter((status) => status === 401).length).toBeLessThanOrEqual(5)
    expect(statuses.filter((status) => status === 429).length).toBeGreaterThanOrEqual(395)
    expect(longest).toBeLessThan(12_000)
  })
})
