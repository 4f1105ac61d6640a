import { randomUUID } from 'node:crypto'
import { describe, expect, inject, it } from 'vitest'
import type { LessonEvent } from '../../server/live/events'
import { clientFor, reading } from './client'

const base = inject('base')
const { call, newLesson, open, joinStation } = clientFor(base)

describe('readings', () => {
  it('are never overwritten: a correction is a further row, and sending twice stores once', async () => {
    const { lesson } = await newLesson()
    const path = `/api/lessons/${lesson.id}/readings`
    const first = reading(lesson.plan, { value: 5.2 })
    const mended = reading(lesson.plan, { value: 52, supersedes: first.id })
    expect((await call('POST', path, { readings: [first] })).body).toEqual({ added: 1 })
    expect((await call('POST', path, { readings: [{ ...first, value: 99 }] })).body).toEqual({ added: 0 })
    await call('POST', path, { readings: [mended] })
    const { record } = await open(lesson.id)
    expect(record.readings.map(({ value, supersedes, by }) => [value, supersedes, by])).toEqual([
      [5.2, null, 'desk'],
      [52, first.id, 'desk'],
    ])
  })

  it('are written all or none', async () => {
    const { lesson } = await newLesson()
    const lost = reading(lesson.plan, { supersedes: randomUUID() })
    expect(await call('POST', `/api/lessons/${lesson.id}/readings`, { readings: [reading(lesson.plan), lost] })).toMatchObject({
      status: 409,
      body: { code: 'supersedes-unknown' },
    })
    expect((await open(lesson.id)).record.readings).toEqual([])
  })
})

describe('predictions', () => {
  it('are stamped until the first counted reading of the group; practice does not count', async () => {
    const { lesson } = await newLesson()
    const { plan, id } = lesson
    const order = plan.conditions.map((one) => one.id)
    const predict = async (group: string) =>
      (
        await call<{ prediction: { late: boolean } }>('POST', `/api/lessons/${id}/predictions`, {
          id: randomUUID(),
          group,
          order,
          reason: '',
        })
      ).body.prediction.late
    await call('POST', `/api/lessons/${id}/readings`, { readings: [reading(plan, { practice: true })] })
    expect(await predict(plan.groups[0]!.id)).toBe(false)
    await call('POST', `/api/lessons/${id}/readings`, { readings: [reading(plan)] })
    expect(await predict(plan.groups[0]!.id)).toBe(true)
    expect(await predict(plan.groups[1]!.id)).toBe(false)
  })
})

describe('a station', () => {
  it('opens with the code, however it is typed, and sees no private notes and no cupboard', async () => {
    const { lesson } = await newLesson()
    await call('PUT', `/api/lessons/${lesson.id}/plan`, {
      plan: { ...lesson.plan, notes: 'secret', materials: lesson.plan.materials.map((one) => ({ ...one, stock: 3 })) },
      revision: lesson.revision,
    })
    const typed = ` ${lesson.code.toLowerCase().replace(' ', '')} `
    const found = await call<{ groups: { id: string; name: string }[] }>('GET', `/api/stations?code=${encodeURIComponent(typed)}`)
    expect(found.body.groups.map(({ name }) => name)).toEqual(['Alder', 'Birch', 'Cedar', 'Dogwood', 'Elm', 'Fir', 'Gorse'])
    const token = await joinStation(typed, lesson.plan.groups[2]!.id)
    for (const path of ['/api/station', `/api/lessons/${lesson.id}/board`]) {
      const { body } = await call<{ plan: { notes: string; materials: { stock: number | null }[] } }>('GET', path, undefined, token)
      expect(body.plan.notes).toBe('')
      expect(body.plan.materials.every(({ stock }) => stock === null)).toBe(true)
    }
    expect((await call('GET', '/api/stations?code=NOPE%2099')).body).toMatchObject({ code: 'unknown-code', field: 'code' })
  })

  it('writes for its own group and lesson only', async () => {
    const [mine, other] = [await newLesson(), await newLesson()]
    const { plan } = mine.lesson
    const token = await joinStation(mine.lesson.code, plan.groups[0]!.id)
    const write = (readings: unknown[]) => call('POST', '/api/station/readings', { readings }, token)
    expect((await write([reading(plan)])).status).toBe(200)
    expect(await write([reading(plan, { group: plan.groups[1]!.id })])).toMatchObject({
      status: 403,
      body: { code: 'other-group' },
    })
    expect((await write([reading(other.lesson.plan)])).status).toBe(403)
    const theirs = reading(plan, { group: plan.groups[1]!.id })
    await call('POST', `/api/lessons/${mine.lesson.id}/readings`, { readings: [theirs] })
    expect(await write([reading(plan, { supersedes: theirs.id })])).toMatchObject({
      status: 409,
      body: { code: 'supersedes-unknown' },
    })
    expect(
      await call(
        'POST',
        '/api/station/predictions',
        { id: randomUUID(), group: plan.groups[1]!.id, order: [plan.conditions[0]!.id], reason: '' },
        token,
      ),
    ).toMatchObject({ status: 403 })
    expect(await call('GET', '/api/station', undefined, { authorization: `Bearer ${'0'.repeat(64)}` })).toMatchObject({
      status: 401,
      body: { code: 'not-joined' },
    })
  })
})

describe('events', () => {
  it('come by themselves, and a page that was away gets what it missed', async () => {
    const { lesson, event } = await newLesson()
    const away = new AbortController()
    const seen: LessonEvent[] = []
    const stream = await fetch(`${base}/api/lessons/${lesson.id}/events?since=${event}`, { signal: away.signal })
    const reader = stream.body!.pipeThrough(new TextDecoderStream()).getReader()
    const collect = async (count: number) => {
      let text = ''
      while (seen.length < count) {
        text += (await reader.read()).value ?? ''
        for (const part of text.split('\n\n').slice(0, -1)) {
          const data = /^data: (\{.*\})$/m.exec(part)?.[1]
          if (data) seen.push(JSON.parse(data) as LessonEvent)
        }
        text = text.split('\n\n').at(-1) ?? ''
      }
    }
    const first = reading(lesson.plan)
    const [second, third] = [reading(lesson.plan, { repeat: 2 }), reading(lesson.plan, { repeat: 3 })]
    await call('POST', `/api/lessons/${lesson.id}/readings`, { readings: [first] })
    await collect(1)
    expect(seen[0]).toMatchObject({ kind: 'reading', reading: { id: first.id } })
    away.abort()

    await call('POST', `/api/lessons/${lesson.id}/readings`, { readings: [second, third] })
    const again = new AbortController()
    const late = await fetch(`${base}/api/lessons/${lesson.id}/events?since=0`, { signal: again.signal })
    let text = ''
    const decoder = new TextDecoder()
    for await (const chunk of late.body as unknown as AsyncIterable<Uint8Array>) {
      text += decoder.decode(chunk, { stream: true })
      if (text.includes(third.id)) break
    }
    expect(
      [first, second, third].map(({ id }) => text.indexOf(id)).every((place, index, all) => place > (all[index - 1] ?? 0)),
    ).toBe(true)
    again.abort()
  })
})
