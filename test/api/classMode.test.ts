import { randomUUID } from 'node:crypto'
import { readdirSync, readFileSync } from 'node:fs'
import { request } from 'node:http'
import { networkInterfaces } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { startApplication, temporaryFolder, type Application } from '../application'
import { clientFor, prediction, reading, type WholeLesson } from './client'
import { addressOf, ROUTES } from './routes'

const PASSPHRASE = 'grey heron by the pond'
const { folder, remove } = temporaryFolder()
let application: Application
let desk: Record<string, string>
let lesson: WholeLesson['lesson']
let other: WholeLesson['lesson']

const api = () => clientFor(application.base)
const asDesk = (method: string, path: string, body?: unknown) => api().call(method, path, body, desk)
const FOR_EVERYBODY = [
  'GET /api/health',
  'GET /api/class-mode',
  'GET /api/desk',
  'POST /api/desk',
  'DELETE /api/desk',
  'GET /api/stations',
  'POST /api/stations',
  'POST /api/stations/own-question',
]

/** By another name than this computer's own, as a tablet on the network would ask. */
function asked(path: string, headers: Record<string, string>, method = 'GET'): Promise<{ status: number; body: string }> {
  return new Promise((resolve) => {
    request(`${application.base}${path}`, { method, headers }, (response) => {
      let body = ''
      response.on('data', (chunk: Buffer) => (body += chunk.toString()))
      response.on('end', () => resolve({ status: response.statusCode!, body }))
    }).end()
  })
}
const TABLET = { host: 'classroom.test' }
/** Where others on the network would find this computer; a machine that is on none has no such address. */
const OWN = Object.values(networkInterfaces())
  .flat()
  .find((one) => one?.family === 'IPv4' && !one.internal)?.address
const overNetwork = () =>
  fetch(`http://${OWN}:${new URL(application.base).port}/api/class-mode`).then(
    ({ status }) => status,
    () => 'nobody answers',
  )

beforeAll(async () => {
  application = await startApplication({ data: folder })
  lesson = (await api().newLesson()).lesson
  other = (await api().newLesson()).lesson
}, 120_000)
afterAll(async () => {
  await application.stop()
  remove()
})

describe('class mode', () => {
  it('is off at first: this computer only, and the desk is open', async () => {
    expect((await asked('/api/lessons', TABLET)).status).toBe(403)
    expect((await api().call('GET', '/api/lessons')).status).toBe(200)
    expect((await api().call('GET', '/api/class-mode')).body).toEqual({ on: false, desk: true, own: null, addresses: [] })
    if (OWN) expect(await overNetwork()).toBe('nobody answers')
    const { version } = JSON.parse(readFileSync('package.json', 'utf8')) as { version: string }
    expect(await api().call('GET', '/api/health')).toMatchObject({ status: 200, body: { answers: true, version } })
  })

  it('needs a passphrase of some length, gives this page a sealed cookie and closes the desk to every other', async () => {
    expect(await api().call('PUT', '/api/class-mode', { passphrase: ' heron ' })).toMatchObject({
      status: 400,
      body: { field: 'passphrase', message: expect.stringContaining('at least 8 letters') },
    })
    const opened = await api().call('PUT', '/api/class-mode', { passphrase: PASSPHRASE })
    const [cookie] = opened.headers.getSetCookie()
    expect(cookie).toMatch(/HttpOnly/)
    expect(cookie).toMatch(/SameSite=Strict/)
    expect(cookie).not.toContain('heron')
    desk = { cookie: cookie!.split(';')[0]! }
    expect((await asDesk('GET', '/api/lessons')).status).toBe(200)
    if (OWN) {
      expect(await overNetwork()).toBe(200)
      expect((await asDesk('GET', '/api/class-mode')).body).toMatchObject({
        addresses: expect.arrayContaining([expect.stringContaining(OWN)]),
      })
    }

    for (const { method, path } of ROUTES) {
      const answer = await api().call<{ code: string }>(
        method,
        addressOf(path, lesson.id, randomUUID()),
        method === 'GET' ? undefined : {},
      )
      const name = `${method} ${path}`
      if (path.startsWith('/api/station/') || path === '/api/station')
        expect([answer.status, answer.body.code], name).toEqual([401, 'not-joined'])
      else if (!FOR_EVERYBODY.includes(name)) expect([answer.status, answer.body.code], name).toEqual([401, 'desk-closed'])
      else expect(answer.body.code, name).not.toBe('desk-closed')
    }
    const forged = { cookie: `${desk.cookie!.slice(0, -6)}AAAAAA` }
    expect((await api().call('GET', '/api/lessons', undefined, forged)).status).toBe(401)
  })

  it('opens the desk on another device with the passphrase, and slows wrong ones down', async () => {
    const right = await api().call('POST', '/api/desk', { passphrase: `  ${PASSPHRASE} ` })
    expect(right.status).toBe(200)
    const cookie = right.headers.getSetCookie()[0]!.split(';')[0]!
    expect((await asked('/api/lessons', { ...TABLET, cookie })).status).toBe(200)
    const statuses = []
    for (let guess = 0; guess < 7; guess += 1)
      statuses.push((await api().call('POST', '/api/desk', { passphrase: `wrong passphrase ${guess}` })).status)
    expect(statuses).toEqual([401, 401, 401, 401, 401, 429, 429])
    const slowed = await api().call<{ message: string }>('POST', '/api/desk', { passphrase: PASSPHRASE })
    expect(slowed.status).toBe(429)
    expect(Number(slowed.headers.get('retry-after'))).toBeGreaterThan(0)
    expect(slowed.body.message).toMatch(/Wait \d+ s/)
  })

  it('a write from a page of another origin is refused even with the cookie', async () => {
    const headers = { ...TABLET, ...desk, 'content-type': 'application/json', origin: 'http://elsewhere.example.com' }
    expect((await asked('/api/class-mode', headers, 'DELETE')).status).toBe(403)
    expect(await asked('/api/class-mode', TABLET)).toMatchObject({ status: 200 })
  })

  it('lets scripts of its own only run on a page', async () => {
    const policy = (await api().call('GET', '/')).headers.get('content-security-policy')!
    expect(policy).toMatch(/script-src 'self' 'nonce-[^']+'(;|$)/)
    expect(policy).toContain("default-src 'none'")
    expect(policy).not.toMatch(/script-src[^;]*unsafe/)
  })

  it('keeps the passphrase nowhere, and outlives the server being killed', async () => {
    application.process.kill('SIGKILL')
    await new Promise((gone) => application.process.once('exit', gone))
    // On a database server there is no folder to look through.
    const files = process.env.JOLLY_BEAKER_TEST_POSTGRES
      ? []
      : readdirSync(folder, { recursive: true, withFileTypes: true }).filter((entry) => entry.isFile())
    if (!process.env.JOLLY_BEAKER_TEST_POSTGRES) expect(files.length).toBeGreaterThan(100)
    for (const { parentPath, name } of files) expect(readFileSync(join(parentPath, name)).includes(PASSPHRASE), name).toBe(false)
    application = await startApplication({ data: folder, port: Number(new URL(application.base).port) })
    expect((await api().call('GET', '/api/lessons')).status).toBe(401)
    expect((await asDesk('GET', '/api/lessons')).status).toBe(200)
  }, 120_000)
})

describe('a station', () => {
  let token: Record<string, string>
  let station: string
  const groups = () => lesson.plan.groups
  const send = (path: string, body: unknown) => api().call<{ code?: string }>('POST', path, body, token)
  const stored = async () => (await asDesk('GET', `/api/lessons/${lesson.id}`)).body as WholeLesson

  beforeAll(async () => {
    token = await api().joinStation(lesson.code, groups()[0]!.id)
    const { body } = (await asDesk('GET', `/api/lessons/${lesson.id}/stations`)) as { body: { stations: { id: string }[] } }
    station = body.stations[0]!.id
  })

  it('opens its own lesson and group with its token, and nothing else', async () => {
    for (const id of [lesson.id, other.id]) {
      for (const { method, path } of ROUTES.filter((route) => !route.path.startsWith('/api/station'))) {
        if (FOR_EVERYBODY.includes(`${method} ${path}`)) continue
        const address = addressOf(path, id, randomUUID())
        expect((await api().call(method, address, method === 'GET' ? undefined : {}, token)).status, `${method} ${path}`).toBe(401)
      }
    }
    const elsewhere = { group: groups()[1]!.id }
    expect(await send('/api/station/readings', { readings: [reading(lesson.plan, elsewhere)] })).toMatchObject({ status: 403 })
    expect(await send('/api/station/predictions', prediction(lesson.plan, elsewhere))).toMatchObject({ status: 403 })
    const seen = { id: randomUUID(), condition: null, repeat: null, kind: 'words', text: 'it drips', picture: null }
    expect(await send('/api/station/observations', { ...seen, ...elsewhere })).toMatchObject({ status: 403 })
    const theirs = reading(other.plan, { group: other.plan.groups[0]!.id })
    expect((await send('/api/station/readings', { readings: [theirs] })).status).toBe(theirs.group === groups()[0]!.id ? 200 : 403)
    expect((await stored()).record.observations).toEqual([])
    expect(((await asDesk('GET', `/api/lessons/${other.id}`)).body as WholeLesson).record.readings).toEqual([])
  })

  it('is moved, paused and sent away by the desk', async () => {
    const change = (body: unknown) => asDesk('PUT', `/api/lessons/${lesson.id}/stations`, body)
    await change({ locked: true })
    expect(await send('/api/station/readings', { readings: [reading(lesson.plan)] })).toMatchObject({
      status: 423,
      body: { code: 'locked' },
    })
    await change({ stations: [station], locked: false, group: groups()[2]!.id })
    expect((await send('/api/station/readings', { readings: [reading(lesson.plan)] })).status).toBe(403)
    expect((await send('/api/station/readings', { readings: [reading(lesson.plan, { group: groups()[2]!.id })] })).status).toBe(200)
    expect((await change({ group: 'nobody' })).status).toBe(404)
    expect((await asDesk('DELETE', `/api/lessons/${lesson.id}/stations/${randomUUID()}`)).status).toBe(404)
    expect((await asDesk('DELETE', `/api/lessons/${other.id}/stations/${station}`)).status).toBe(404)
    expect((await asDesk('DELETE', `/api/lessons/${lesson.id}/stations/${station}`)).status).toBe(200)
    expect(await send('/api/station/readings', { readings: [reading(lesson.plan)] })).toMatchObject({ status: 401 })
    const journal = (await asDesk('GET', `/api/lessons/${lesson.id}/journal.csv`)).body as string
    for (const words of ['a station joined', 'a station was paused', 'a station moved to Cedar', 'a station was sent away'])
      expect(journal).toContain(words)
    token = await api().joinStation(lesson.code, groups()[0]!.id)
  })

  it('an observation is stored once, with the time at which it was seen', async () => {
    const seen = {
      id: randomUUID(),
      group: groups()[0]!.id,
      condition: 'tissue',
      repeat: null,
      kind: 'words',
      text: '<script>alert(1)</script>',
      picture: null,
    }
    for (let times = 0; times < 2; times += 1)
      await api().call('POST', '/api/station/observations', seen, { ...token, 'x-waited-ms': '600000' })
    const { observations } = (await stored()).record
    expect(observations).toMatchObject([{ id: seen.id, text: seen.text, by: 'station' }])
    expect(Date.now() - Date.parse(observations[0]!.at)).toBeGreaterThan(590_000)
    expect((await send('/api/station/observations', { ...seen, id: randomUUID(), text: ' ' })).status).toBe(400)
    expect((await send('/api/station/observations', { ...seen, id: randomUUID(), condition: 'gone' })).status).toBe(409)
  })

  it('a picture that is none, or far too large, is refused and not stored', async () => {
    const id = randomUUID()
    const base64 = (bytes: Buffer | string) => `data:image/png;base64,${Buffer.from(bytes as string).toString('base64')}`
    const text = await send('/api/station/pictures', { id, data: base64('this is a text that is called picture.png') })
    expect(text).toMatchObject({ status: 400, body: { code: 'not-a-picture' } })
    const markup = await send('/api/station/pictures', { id, data: base64('<svg onload="alert(1)"/>') })
    expect(markup).toMatchObject({ status: 400, body: { code: 'not-a-picture' } })
    const photo = Buffer.alloc(20_000_000, 1)
    photo.set([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a])
    expect(await send('/api/station/pictures', { id, data: base64(photo) })).toMatchObject({
      status: 413,
      body: { code: 'too-large' },
    })
    for (const path of ['../lessons', '..%2F..%2Flessons', '%2e%2e%2f%2e%2e', id])
      expect((await api().call('GET', `/api/station/pictures/${path}`, undefined, token)).status).toBeGreaterThanOrEqual(400)
  })

  it('wrong codes slow down whoever types them, right ones wait as well', async () => {
    const statuses = []
    for (let guess = 10; guess < 17; guess += 1)
      statuses.push((await api().call('GET', `/api/stations?code=NOWORD%20${guess}`)).status)
    expect(statuses).toEqual([404, 404, 404, 404, 404, 429, 429])
    expect((await api().call('GET', `/api/stations?code=${encodeURIComponent(lesson.code)}`)).status).toBe(429)
  })
})

describe('the desk', () => {
  it('the board’s state changes piece by piece and comes with the lesson', async () => {
    const put = (body: unknown) => asDesk('PUT', `/api/lessons/${lesson.id}/board`, body)
    await put({ view: 'join' })
    await put({ results: 'live' })
    expect((await put({ view: 'wall' })).status).toBe(400)
    expect((await put({})).status).toBe(400)
    expect((await asDesk('GET', `/api/lessons/${lesson.id}/board`)).body).toMatchObject({
      board: { view: 'join', results: 'live', sound: true, clockStarted: null },
    })
  })

  it('turned off, nobody reaches it over the network, and the old cookie opens nothing when it is on again', async () => {
    expect((await asDesk('DELETE', '/api/class-mode')).status).toBe(200)
    if (OWN) expect(await overNetwork()).toBe('nobody answers')
    expect((await asked('/api/lessons', TABLET)).status).toBe(403)
    await api().call('PUT', '/api/class-mode', { passphrase: 'another one altogether' })
    expect((await asDesk('GET', '/api/lessons')).status).toBe(401)
  })

  it('a start with --class-mode-off forgets the passphrase', async () => {
    await application.stop()
    application = await startApplication({ data: folder, args: ['--class-mode-off'] })
    expect((await api().call('GET', '/api/class-mode')).body).toMatchObject({ on: false, desk: true })
  }, 120_000)
})
