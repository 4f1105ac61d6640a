import { afterEach, describe, expect, it, vi } from 'vitest'
import { soakUpPlan } from '../../test/soakUp'
import { addressOf, callServer, holdWrites, messageOf, ServerRefusal } from './callServer'
import { whenDeskIsClosed } from './deskDoor'
import { schoolDay, serverNow } from './serverClock'

const asked: { address: string; options: RequestInit }[] = []

/** A server that answers this to whatever it is asked. */
function serverThat(status: number, body: unknown, headers: Record<string, string> = {}) {
  asked.length = 0
  vi.stubGlobal('fetch', (address: string, options: RequestInit) => {
    asked.push({ address, options })
    return Promise.resolve(new Response(typeof body === 'string' ? body : JSON.stringify(body), { status, headers }))
  })
}

let closed = 0
whenDeskIsClosed(() => (closed += 1))
afterEach(() => {
  vi.unstubAllGlobals()
  closed = 0
})

const refused = async (call: Promise<unknown>): Promise<ServerRefusal> =>
  call.then(
    () => expect.unreachable('it was answered'),
    (error: unknown) => error as ServerRefusal,
  )

describe('calling the server', () => {
  it('goes to the address of the route, with what it was told', async () => {
    serverThat(200, { revision: 4 })
    const plan = soakUpPlan()
    const answer = await callServer('PUT /api/lessons/[lesson]/plan', { path: { lesson: 'a b/c' }, body: { plan, revision: 3 } })
    expect(answer).toEqual({ revision: 4 })
    expect(asked[0]!.address).toBe('/api/lessons/a%20b%2Fc/plan')
    expect(asked[0]!.options.method).toBe('PUT')
    expect(JSON.parse(String(asked[0]!.options.body))).toEqual({ plan, revision: 3 })
  })

  it('writes a query out, and leaves out what is not asked', () => {
    expect(addressOf('GET /api/lessons', { query: { find: 'felt & co', archived: false, most: undefined } })).toBe(
      '/api/lessons?find=felt+%26+co&archived=false',
    )
    expect(addressOf('GET /api/lessons/[lesson]/pictures/[picture]', { path: { lesson: 'l', picture: 'p' } })).toBe(
      '/api/lessons/l/pictures/p',
    )
    expect(addressOf('GET /api/term')).toBe('/api/term')
  })

  it('a station says who it is and how long an entry waited, however its clock jumped meanwhile', async () => {
    serverThat(200, { added: 1 })
    const body = { id: 'r', list: 'noticed' as const, text: 'it drips' }
    await callServer('POST /api/station/remarks', { body, token: 'abc', waited: -5000 })
    expect(asked[0]!.options.headers).toMatchObject({ authorization: 'Bearer abc', 'x-waited-ms': '0' })
  })

  it('asks but writes nothing while the page holds its writes, and says why', async () => {
    serverThat(200, { lessons: [] })
    holdWrites('This class is made up.')
    const body = { investigation: null }
    expect(await refused(callServer('POST /api/lessons', { body }))).toMatchObject({
      code: 'made-up',
      message: 'This class is made up.',
    })
    expect(asked).toEqual([])
    await callServer('GET /api/term', { query: { from: '', to: '', className: '' } })
    holdWrites(undefined)
    await callServer('POST /api/lessons', { body })
    expect(asked.map(({ options }) => options.method)).toEqual(['GET', 'POST'])
  })

  it('a line that hangs counts as away, whether nothing comes or the answer stops half way', async () => {
    vi.useFakeTimers()
    const aborted = (signal: AbortSignal) =>
      new Promise<never>((_, fail) => signal.addEventListener('abort', () => fail(new Error('aborted'))))
    for (const half of [false, true]) {
      vi.stubGlobal('fetch', (_address: string, { signal }: { signal: AbortSignal }) =>
        half ? Promise.resolve({ ok: true, headers: new Headers(), json: () => aborted(signal) }) : aborted(signal),
      )
      const call = refused(callServer('GET /api/lessons'))
      await vi.advanceTimersByTimeAsync(12_000)
      expect((await call).code).toBe('away')
    }
    vi.useRealTimers()
  })

  it('a page that goes away has a short body carried on, and does not ask that of a long one', async () => {
    serverThat(200, { board: {} })
    const path = { lesson: 'l' }
    await callServer('PUT /api/lessons/[lesson]/board', { path, body: { draft: 'short' }, leaving: true })
    await callServer('PUT /api/lessons/[lesson]/board', { path, body: { draft: 'x'.repeat(70_000) }, leaving: true })
    expect(asked.map(({ options }) => options.keepalive)).toEqual([true, false])
  })
})

describe('what the server refused', () => {
  it('comes with its code, its words and its field', async () => {
    serverThat(409, { code: 'name-taken', message: 'It is in the cupboard already.', field: 'name' })
    const error = await refused(callServer('GET /api/cupboard'))
    expect([error.code, error.field, error.away, messageOf(error)]).toEqual([
      'name-taken',
      'name',
      false,
      'It is in the cupboard already.',
    ])
  })

  it('a server that is away or getting ready is worth trying again; a broken answer is not taken for that', async () => {
    vi.stubGlobal('fetch', () => Promise.reject(new TypeError('Failed to fetch')))
    expect((await refused(callServer('GET /api/cupboard'))).away).toBe(true)
    serverThat(503, 'getting ready')
    expect((await refused(callServer('GET /api/cupboard'))).away).toBe(true)
    serverThat(500, '<html>')
    expect((await refused(callServer('GET /api/cupboard'))).code).toBe('internal')
  })

  it('a closed desk asks for the passphrase', async () => {
    serverThat(401, { code: 'desk-closed', message: 'The desk is closed.' })
    await refused(callServer('GET /api/cupboard'))
    expect(closed).toBe(1)
  })

  it('what is no refusal at all has words of its own', () => {
    expect(messageOf(new TypeError('undefined is not a function'))).toBe(
      'Something broke on this page. Load it again; what was saved is kept.',
    )
  })
})

it('a device whose clock is off goes by the server’s, and small differences are left alone', async () => {
  serverThat(200, {}, { date: new Date(Date.now() + 300_000).toUTCString() })
  await callServer('GET /api/investigations')
  expect(Math.abs(serverNow() - Date.now() - 300_000)).toBeLessThan(2000)
  const before = serverNow() - Date.now()
  serverThat(200, {}, { date: new Date(Date.now() + 301_000).toUTCString() })
  await callServer('GET /api/investigations')
  expect(serverNow() - Date.now()).toBeCloseTo(before, -2)
})

it('the day is the school’s, on a device of another year in another zone', async () => {
  serverThat(200, {}, { date: 'Thu, 12 Mar 2026 23:30:00 GMT', 'x-minutes-east': '120' })
  await callServer('GET /api/investigations')
  expect(schoolDay()).toBe('2026-03-13')
  serverThat(200, {}, { date: 'Thu, 12 Mar 2026 00:30:00 GMT', 'x-minutes-east': '-300' })
  await callServer('GET /api/investigations')
  expect(schoolDay()).toBe('2026-03-11')
})

/** Never run: the type check of everything fails where one of the marked lines does compile. */
export async function refusedByTheCompiler(): Promise<void> {
  const [path, body] = [{ lesson: 'l' }, { plan: soakUpPlan(), revision: 3 }]
  const { revision } = await callServer('PUT /api/lessons/[lesson]/plan', { path, body })
  // @ts-expect-error The answer has no such part.
  const { version } = await callServer('PUT /api/lessons/[lesson]/plan', { path, body })
  // @ts-expect-error The body lacks a part.
  await callServer('PUT /api/lessons/[lesson]/plan', { path, body: { plan: soakUpPlan() } })
  // @ts-expect-error The path lacks its lesson.
  await callServer('PUT /api/lessons/[lesson]/plan', { body })
  // @ts-expect-error There is no such address.
  await callServer('GET /api/lessons/[lesson]/nowhere', { path })
  expect([revision, version]).toEqual([])
}
