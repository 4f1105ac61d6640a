import { randomUUID } from 'node:crypto'
import { expect, inject, it } from 'vitest'
import type { LessonFile } from '../../core/formats'
import type { Plan } from '../../core/lesson'
import { clientFor } from './client'

const base = inject('base')
const { call, newLesson, open, joinStation } = clientFor(base)

/** One dark pixel. */
const PNG = 'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNkYPhfDwAChwGA60e6kgAAAABJRU5ErkJggg=='
const picture = (data = `data:image/png;base64,${PNG}`) => ({ id: randomUUID(), data })
const save = async (id: string, change: (plan: Plan) => Plan) => {
  const { lesson } = await open(id)
  expect((await call('PUT', `/api/lessons/${id}/plan`, { plan: change(lesson.plan), revision: lesson.revision })).status).toBe(200)
}
const naming =
  (...ids: string[]) =>
  (plan: Plan): Plan => ({ ...plan, wonder: { ...plan.wonder, pictures: ids.map((id) => ({ id, caption: 'a jar' })) } })
const bytesAt = async (path: string, headers: Record<string, string> = {}) => {
  const answer = await fetch(base + path, { headers })
  return { status: answer.status, type: answer.headers.get('content-type'), bytes: Buffer.from(await answer.arrayBuffer()) }
}

it('a picture of the hook is kept as it came, shown to its own lesson only, and goes with copy and file', async () => {
  const [mine, other] = [(await newLesson()).lesson, (await newLesson()).lesson]
  const one = picture()
  for (let twice = 0; twice < 2; twice += 1) expect((await call('POST', `/api/lessons/${mine.id}/pictures`, one)).status).toBe(200)
  await save(mine.id, naming(one.id))
  const shown = await bytesAt(`/api/lessons/${mine.id}/pictures/${one.id}`)
  expect([shown.status, shown.type, shown.bytes.toString('base64')]).toEqual([200, 'image/png', PNG])
  expect((await bytesAt(`/api/lessons/${other.id}/pictures/${one.id}`)).status).toBe(404)

  const { authorization } = await joinStation(mine.code, mine.plan.groups[0]!.id)
  expect((await bytesAt(`/api/station/pictures/${one.id}?token=${authorization!.slice(7)}`)).status).toBe(200)
  expect((await bytesAt(`/api/station/pictures/${one.id}`)).status).toBe(401)

  const copy = (await call<{ id: string }>('POST', `/api/lessons/${mine.id}/duplicate`)).body.id
  expect((await bytesAt(`/api/lessons/${copy}/pictures/${one.id}`)).status).toBe(200)
  const file = (await call<LessonFile>('GET', `/api/lessons/${mine.id}/file`)).body
  expect(file.pictures).toEqual([one])
  const again = (await call<{ id: string }>('POST', '/api/lessons/open', { text: JSON.stringify(file) })).body.id
  expect((await bytesAt(`/api/lessons/${again}/pictures/${one.id}`)).bytes.toString('base64')).toBe(PNG)
})

it('what only says that it is a picture is refused, and so are too many', async () => {
  const { lesson } = await newLesson()
  const path = `/api/lessons/${lesson.id}/pictures`
  const markup = Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"><script>1</script></svg>').toString('base64')
  for (const data of [
    `data:image/png;base64,${markup}`,
    `data:image/svg+xml;base64,${markup}`,
    'https://example.org/a.png',
    'data:image/png;base64,',
  ]) {
    expect(await call('POST', path, picture(data))).toMatchObject({ status: 400, body: { field: 'data' } })
  }
  for (let count = 0; count < 120; count += 1) await call('POST', path, picture())
  expect(await call('POST', path, picture())).toMatchObject({ status: 409, body: { code: 'too-many-pictures' } })
})
