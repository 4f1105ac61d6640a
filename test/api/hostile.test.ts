import { randomUUID } from 'node:crypto'
import { request } from 'node:http'
import { beforeAll, describe, expect, inject, it } from 'vitest'
import { clientFor, prediction, reading, type WholeLesson } from './client'
import { addressOf, ROUTES } from './routes'

const base = inject('base')
const { call, newLesson, open, joinStation } = clientFor(base)

/** What wants a body; a copy and the demo class are made without one. */
const taking = ROUTES.filter(({ method, path }) => (method === 'POST' || method === 'PUT') && !/\/(duplicate|demo)$/.test(path))

const THING = randomUUID()
let lesson: WholeLesson['lesson']
let token: Record<string, string>
const address = (path: string, id = lesson.id) => addressOf(path, id, THING)

beforeAll(async () => {
  ;({ lesson } = await newLesson())
  token = await joinStation(lesson.code, lesson.plan.groups[0]!.id)
})

/** Everything that is stored, to see that nothing changed. */
async function everything(): Promise<unknown> {
  const { body } = await call<{ lessons: { id: string }[] }>('GET', '/api/lessons?most=1000')
  return [await Promise.all(body.lessons.map(({ id }) => open(id))), (await call('GET', '/api/cupboard')).body]
}

async function mustRefuse(method: string, path: string, body: unknown): Promise<void> {
  const answer = await call<{ code?: unknown; message?: unknown }>(method, path, body, token)
  const what = `${method} ${path} ${JSON.stringify(body)?.slice(0, 120)} -> ${answer.status} ${JSON.stringify(answer.body).slice(0, 200)}`
  expect(answer.status, what).toBeGreaterThanOrEqual(400)
  expect(answer.status, what).toBeLessThan(500)
  expect(answer.body, what).toEqual({
    code: expect.any(String),
    message: expect.any(String),
    ...('field' in (answer.body as object) ? { field: expect.any(String) } : {}),
  })
}

const deep = '['.repeat(5000) + ']'.repeat(5000)
const WRONG_BODIES: unknown[] = [
  undefined,
  'no json',
  '{"half":',
  'null',
  '[]',
  '42',
  '"text"',
  '{}',
  '{"plan":null}',
  '{"__proto__":{"a":1}}',
  '{"readings":[null]}',
  '{"text":7}',
  '{"text":"\\u0000"}',
  '{"text":"\\ud800"}',
  deep,
  { readings: 'x'.repeat(100_000) },
  { plan: {}, revision: 'one' },
  { archived: 'yes' },
  { code: {}, group: [] },
  { id: randomUUID() },
]
const WRONG_VALUES: unknown[] = [
  null,
  -1,
  1e308,
  'x'.repeat(5000),
  [],
  {},
  true,
  '\u0000',
  '𝕏'.repeat(3000),
  { $ne: 1 },
  "'; drop table readings; --",
]
const WRONG_IDS = ['nope', randomUUID(), '%00', '..%2F..%2Fetc', `${'9'.repeat(3000)}`, "';--", '%F0%9F%A7%AA', '%E0%A4%A']

describe('whatever is thrown at it', () => {
  it('knows its routes', () => expect(ROUTES.length).toBeGreaterThan(15))

  it('every route answers a body it cannot use with a 4xx in the one shape, and changes nothing', async () => {
    const before = await everything()
    for (const { method, path } of taking) for (const body of WRONG_BODIES) await mustRefuse(method, address(path), body)
    expect(await everything()).toEqual(before)
  })

  it('every route about a lesson answers an id it does not know with a 4xx', async () => {
    const before = await everything()
    for (const { method, path } of ROUTES.filter((route) => route.path.includes('[lesson]'))) {
      for (const id of WRONG_IDS) await mustRefuse(method, address(path, id), method === 'GET' ? undefined : {})
    }
    expect(await everything()).toEqual(before)
  })

  it('a field of a wrong type, missing, unknown or huge is refused wherever it stands', async () => {
    const before = await everything()
    const rows: [string, Record<string, unknown>, string[]][] = [
      [`/api/lessons/${lesson.id}/readings`, reading(lesson.plan) as unknown as Record<string, unknown>, []],
      [
        `/api/lessons/${lesson.id}/predictions`,
        prediction(lesson.plan, { order: ['card'] }) as unknown as Record<string, unknown>,
        ['reason', 'values'],
      ],
      [
        `/api/lessons/${lesson.id}/conclusions`,
        { id: randomUUID(), group: null, from: null, text: 'x', hands: null, agreed: false },
        ['text', 'hands', 'agreed'],
      ],
    ]
    for (const [path, row] of rows) {
      const send = (body: unknown) => mustRefuse('POST', path, path.endsWith('readings') ? { readings: [body] } : body)
      for (const field of Object.keys(row)) {
        const { [field]: _missing, ...rest } = row
        // A page of before does not say of which measure a prediction is.
        if (field !== 'measure') await send(rest)
        for (const value of WRONG_VALUES.filter((wrong) => !fits(row[field], wrong, field))) await send({ ...row, [field]: value })
      }
      await send({ ...row, extra: 1 })
    }
    expect(await everything()).toEqual(before)
  })

  it('every part of a plan that has the wrong type is refused', async () => {
    const before = await everything()
    const path = `/api/lessons/${lesson.id}/plan`
    for (const field of Object.keys(lesson.plan)) {
      await mustRefuse('PUT', path, { plan: { ...lesson.plan, [field]: 1.5 }, revision: lesson.revision })
      await mustRefuse('PUT', path, { plan: { ...lesson.plan, [field]: { deep: [null] } }, revision: lesson.revision })
      const { [field as 'notes']: _missing, ...rest } = lesson.plan
      await mustRefuse('PUT', path, { plan: rest, revision: lesson.revision })
    }
    expect(await everything()).toEqual(before)
  })

  it('a thing, a calendar and a count that cannot be are refused', async () => {
    const before = await everything()
    const thing = { id: THING, name: 'Ruler', unit: 'pieces', stock: 3, place: '', minimum: null, pack: null, price: null }
    for (const [field, values] of Object.entries({
      id: ['x', null, 4],
      name: ['', '   ', null, 7, 'x'.repeat(201), '\u0000'],
      unit: ['feet', null, '__proto__', []],
      stock: [-1, 1e7, null, 'many', '1e999'],
      place: [null, {}, 'x'.repeat(201)],
      minimum: [-1, 'few'],
      pack: [0, -3, {}],
      price: [-0.01, 'free', 1e12],
    })) {
      for (const value of values) await mustRefuse('PUT', '/api/cupboard', { ...thing, [field]: value })
    }
    const calendar = { terms: [], holidays: [], weekdays: [true, true, true, true, true, false, false] }
    const off = { name: '', from: '2026-12-24', to: '2027-01-03' }
    for (const wrong of [
      { weekdays: [true] },
      { terms: [{ ...off, to: '2026-12-23' }] },
      { holidays: [{ ...off, from: '2026-13-01' }] },
      { holidays: Array.from({ length: 61 }, () => off) },
      { terms: 'all' },
    ])
      await mustRefuse('PUT', '/api/calendar', { className: 'Puffin', calendar: { ...calendar, ...wrong } })
    const row = { material: lesson.plan.materials[0]!.id, taken: 7, back: 6, broken: 1 }
    for (const wrong of [{ taken: -1 }, { back: 'six' }, { broken: null }, { broken: 1e9 }, { material: '' }])
      await mustRefuse('POST', `/api/lessons/${lesson.id}/count-back`, { rows: [{ ...row, ...wrong }] })
    await mustRefuse('POST', `/api/lessons/${lesson.id}/count-back`, { rows: [row, row] })
    for (const held of [{ before: -1, after: 1 }, { before: 3 }, { before: 3, after: 1.5 }, { before: 31, after: 1 }])
      await mustRefuse('PUT', '/api/cupboard/held', held)
    expect(await everything()).toEqual(before)
  })

  it('queries, addresses and tokens out of range are refused', async () => {
    for (const since of ['abc', '-1', '1e999', '1.5', 'NaN'])
      await mustRefuse('GET', `/api/lessons/${lesson.id}/events?since=${since}`, undefined)
    for (const query of ['', '?code=', `?code=${'A'.repeat(5000)}`, '?code[]=1', '?code=%00'])
      await mustRefuse('GET', `/api/stations${query}`, undefined)
    for (const query of ['', '?what=', '?what=__proto__', '?what=getting-ready&what=reading-days'])
      await mustRefuse('GET', `/api/lessons/${lesson.id}/calendar.ics${query}`, undefined)
    expect((await call('GET', '/api/station/events?token=x')).status).toBe(401)
    await mustRefuse('GET', '/api/nothing/here', undefined)
    await mustRefuse('DELETE', `/api/lessons/${lesson.id}`, undefined)
    await mustRefuse('POST', '/api/lessons/open', { text: 'x'.repeat(13_000_000) })
    await mustRefuse('POST', '/api/lessons', { investigation: '__proto__' })
    await mustRefuse('POST', '/api/lessons', { investigation: 'constructor' })
  })

  it('a page of another origin can neither write nor reach it by another name', async () => {
    expect((await call('POST', '/api/lessons', { investigation: null }, { origin: 'http://elsewhere.example.com' })).status).toBe(
      403,
    )
    const status = await new Promise((resolve) =>
      request(`${base}/api/lessons`, { headers: { host: 'elsewhere.example.com' } }, (response) =>
        resolve(response.statusCode),
      ).end(),
    )
    expect(status).toBe(403)
  })
})

/** Values of the list that a field may well take, such as a long text in a reason. */
function fits(right: unknown, wrong: unknown, field: string): boolean {
  if (field === 'text' || (field === 'reason' && right === ''))
    return typeof wrong === 'string' && wrong.length <= 300 && !wrong.includes('\0')
  if (field === 'practice' || field === 'confirmed' || field === 'agreed') return typeof wrong === 'boolean'
  if (['hands', 'supersedes'].includes(field) || right === null) return wrong === null
  if (field === 'value') return wrong === -1
  if (field === 'values') return JSON.stringify(wrong) === '{}'
  return field === 'entered' && typeof wrong === 'string' && wrong.length <= 60 && !wrong.includes('\0')
}
