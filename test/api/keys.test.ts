import { randomUUID } from 'node:crypto'
import { expect, inject, it } from 'vitest'
import { seededRandom } from '../../core/chance'
import { codeOf, withEachChild, type Plan } from '../../core/lesson'
import { whileOthersAsk } from '../faults/hostileTable'
import { clientFor, reading, type WholeLesson } from './client'

const base = inject('base')
const { call, newLesson, open } = clientFor(base)

async function childrensLesson(): Promise<WholeLesson['lesson']> {
  const { lesson } = await newLesson()
  const plan = withEachChild({ ...lesson.plan, children: 8 }, randomUUID, seededRandom(11))
  await call('PUT', `/api/lessons/${lesson.id}/plan`, { plan, revision: lesson.revision })
  return (await open(lesson.id)).lesson
}
const join = (body: object) => call<{ token: string; code: string }>('POST', '/api/stations', body)

it('a child’s record opens by its own whole code and by nothing that stands on the board or in the plan', async () => {
  const { code, plan } = await childrensLesson()
  const [child] = plan.groups
  for (const tried of [{ group: child!.id }, { own: child!.name }, { own: child!.id.slice(0, 20) }, { own: child!.key }])
    expect((await join({ code, ...tried })).body).toMatchObject({ code: 'unknown-own-code' })
  expect((await join({ code, own: codeOf(child!) })).status).toBe(200)
})

it('who tries codes waits, with a right one as well, and all codes at once open nobody', async () => {
  const { code, plan } = await childrensLesson()
  const codes = [...'ABCDEFHKLMNPRTUVWXY'].flatMap((letter) => ['2', '3', '4', '5'].flatMap((digit) => `${letter}${digit}7`))
  const statuses = await Promise.all(codes.map((own) => join({ code, own }).then(({ status }) => status)))
  expect(statuses.filter((status) => status === 404).length).toBeLessThanOrEqual(5)
  expect(statuses.filter((status) => status === 200)).toEqual([])
  expect((await join({ code, own: codeOf(plan.groups[3]!) })).status).toBe(429)
})

it('a child’s page never learns how classmates are called or known, nor when all numbers are shown', async () => {
  const lesson = await childrensLesson()
  const { plan } = lesson
  const [own, ...others] = plan.groups as [Plan['groups'][number], ...Plan['groups']]
  const { body } = await join({ code: lesson.code, own: codeOf(own) })
  const token = { authorization: `Bearer ${body.token}` }
  const row = (group: string) => reading(plan, { group, condition: plan.conditions[0]!.id })
  const write = (...groups: string[]) => call('POST', `/api/lessons/${lesson.id}/readings`, { readings: groups.map(row) })
  await write(own.id, ...others.map(({ id }) => id))
  await call('PUT', `/api/lessons/${lesson.id}/board`, { results: 'live' })
  const { body: page } = await call<{ event: number; all: boolean; record: { readings: { group: string }[] }; plan: Plan }>(
    'GET',
    '/api/station',
    undefined,
    token,
  )
  expect([page.all, page.record.readings.length]).toEqual([true, 8])
  // Each row still belongs to somebody in the plan that it has.
  const known = new Set(page.plan.groups.map(({ id }) => id))
  expect(page.record.readings.filter(({ group }) => !known.has(group))).toEqual([])
  const away = new AbortController()
  const address = `${base}/api/station/events?token=${body.token}&since=${page.event}`
  const stream = await fetch(address, { signal: away.signal })
  await write(others[0]!.id)
  let heard = ''
  for await (const chunk of stream.body as unknown as AsyncIterable<Uint8Array>) {
    heard += new TextDecoder().decode(chunk)
    if (heard.includes('"kind":"reading"')) break
  }
  away.abort()
  for (const text of [JSON.stringify(page), heard])
    for (const secret of others.flatMap(({ id, name, key }) => [id, `"${name}"`, key])) expect(text).not.toContain(secret)
  expect(JSON.stringify(page)).not.toContain(own.key)
})

it('what anybody may send is small: a large body is refused at once, and nobody waits for it', async () => {
  const flood = JSON.stringify({ passphrase: Array(900_000).fill(1) })
  const bodies = ['/api/desk', '/api/stations', '/api/stations/own-question'].flatMap((path) => Array(3).fill(path) as string[])
  const { answer, longest } = await whileOthersAsk(base, Promise.all(bodies.map((path) => call('POST', path, flood))))
  for (const { status, body } of answer) {
    expect(status).toBeGreaterThanOrEqual(400)
    expect(status).toBeLessThan(500)
    expect(body).toMatchObject({ message: expect.any(String) })
  }
  expect((await call('POST', '/api/stations', { code: 'x'.repeat(5000) })).status).toBe(413)
  // Half a minute, and the like of it, before there were bounds.
  expect(longest).toBeLessThan(12_000)
})

it('an address that holds what a database cannot is refused', async () => {
  for (const path of [
    '/api/stations?code=a%00b',
    '/api/lessons?find=%00',
    '/api/term?className=%00',
    '/api/lessons?className=a%00',
  ])
    expect([path, (await call('GET', path)).status]).toEqual([path, 400])
})

it('without class mode there is no passphrase to type', async () => {
  expect(await call('POST', '/api/desk', { passphrase: 'grey heron by the pond' })).toMatchObject({
    status: 409,
    body: { code: 'desk-is-open' },
  })
})

it('lessons that run together come out of a file that does not say how', async () => {
  const file = (await call<object>('GET', `/api/lessons/${(await newLesson()).lesson.id}/file`)).body
  const text = (together: object) =>
    JSON.stringify({
      format: 'jolly-beaker-together',
      version: 1,
      savedAt: '',
      together,
      lessons: [1, 2].map((id) => ({ id: `l${id}`, lesson: file })),
    })
  const { status, body } = await call<{ together: string }>('POST', '/api/lessons/open', { text: text({}) })
  expect(status).toBe(200)
  expect((await call<{ lessons: object[] }>('GET', `/api/together/${body.together}`)).body.lessons).toHaveLength(2)
  expect((await call('POST', '/api/lessons/open', { text: text({ way: 'sideways' }) })).body).toMatchObject({ code: 'file-broken' })
})

const END_OF_IMAGE = Buffer.from([0xff, 0xd9])

/** A JPEG of one point, as small as one can be, with what a camera writes into it. */
function photo(orientation: number): Uint8Array {
  const points =
    '/9j/4AAQSkZJRgABAQEASABIAAD/2wBDAP//////////////////////////////////////////////////////////////////////////////////////wgALCAABAAEBAREA/8QAFBABAAAAAAAAAAAAAAAAAAAAAP/aAAgBAQABPxA='
  const plain = Buffer.from(points, 'base64')
  const tiff = Buffer.alloc(26)
  tiff.write('II*\0\b\0\0\0', 0, 'latin1')
  tiff.writeUInt16LE(1, 8)
  tiff.writeUInt16LE(0x0112, 10)
  tiff.writeUInt16LE(3, 12)
  tiff.writeUInt32LE(1, 14)
  tiff.writeUInt16LE(orientation, 18)
  const body = Buffer.concat([Buffer.from('Exif\0\0', 'latin1'), tiff, Buffer.from('GPS 51.5N 0.1W somewhere', 'latin1')])
  const head = Buffer.from([0xff, 0xe1, 0, 0])
  head.writeUInt16BE(body.length + 2, 2)
  return Buffer.concat([plain.subarray(0, 2), head, body, plain.subarray(2), END_OF_IMAGE, Buffer.from('behind the end')])
}

it('a photo keeps which way up it is, and nothing else of what the camera wrote', async () => {
  const { lesson } = await newLesson()
  const id = randomUUID()
  const data = `data:image/jpeg;base64,${Buffer.from(photo(6)).toString('base64')}`
  expect((await call('POST', `/api/lessons/${lesson.id}/pictures`, { id, data })).status).toBe(200)
  const stored = Buffer.from(await (await fetch(`${base}/api/lessons/${lesson.id}/pictures/${id}`)).arrayBuffer())
  expect(stored.includes('GPS')).toBe(false)
  expect(stored.includes('behind the end')).toBe(false)
  const exif = stored.indexOf('Exif')
  expect([stored.subarray(0, 2).toString('hex'), stored[exif + 6 + 19]]).toEqual(['ffd8', 6])
  expect(stored.subarray(-2).toString('hex')).toBe('ffd9')
})
