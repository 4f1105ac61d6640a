import { randomUUID } from 'node:crypto'
import { describe, expect, inject, it } from 'vitest'
import { WHOLE_CLASS } from '../../core/lesson'
import type { LessonEvent } from '../../core/lesson'
import { clientFor, prediction, reading } from './client'

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

  it('of a class that writes all at once, each is stored or refused for itself, however they are put together', async () => {
    const { lesson } = await newLesson()
    const other = (await newLesson()).lesson
    const taken = reading(other.plan)
    await call('POST', `/api/lessons/${other.id}/readings`, { readings: [taken] })
    const rows = Array.from({ length: 40 }, (_, place) =>
      reading(lesson.plan, { value: place, group: lesson.plan.groups[place % 7]!.id }),
    )
    const again = rows[7]!
    const lost = reading(lesson.plan, { supersedes: randomUUID() })
    const foreign = reading(lesson.plan, { id: taken.id })
    const elsewhere = reading(lesson.plan, { supersedes: rows[1]!.id })
    const sent = [...rows.slice(0, 20), lost, again, foreign, ...rows.slice(20), elsewhere]
    const answers = await Promise.all(
      sent.map((row) => call<{ added?: number; code?: string }>('POST', `/api/lessons/${lesson.id}/readings`, { readings: [row] })),
    )
    const refused = answers.flatMap(({ status, body }) => (status === 409 ? [body.code] : []))
    expect(refused.sort()).toEqual(['id-taken', 'supersedes-unknown', 'supersedes-unknown'])
    expect(answers.reduce((sum, { body }) => sum + (body.added ?? 0), 0)).toBe(rows.length)
    const stored = (await open(lesson.id)).record.readings.map(({ id }) => id)
    expect(stored).toHaveLength(rows.length)
    expect(new Set(stored)).toEqual(new Set(rows.map(({ id }) => id)))
  })
})

describe('predictions', () => {
  it('are stamped until the first counted reading of the group; practice does not count', async () => {
    const { lesson } = await newLesson()
    const { plan, id } = lesson
    const predict = async (group: string) =>
      (await call<{ prediction: { late: boolean } }>('POST', `/api/lessons/${id}/predictions`, prediction(plan, { group }))).body
        .prediction.late
    await call('POST', `/api/lessons/${id}/readings`, { readings: [reading(plan, { practice: true })] })
    expect(await predict(plan.groups[0]!.id)).toBe(false)
    await call('POST', `/api/lessons/${id}/readings`, { readings: [reading(plan)] })
    expect(await predict(plan.groups[0]!.id)).toBe(true)
    expect(await predict(plan.groups[1]!.id)).toBe(false)
  })
})

describe('what a class can predict', () => {
  it('a number, a line, ups and downs, most and least; a prediction that says nothing is refused', async () => {
    const { lesson } = await newLesson()
    const { plan, id } = lesson
    const [first, second] = plan.conditions.map((one) => one.id)
    const take = async (change: Parameters<typeof prediction>[1]) =>
      (await call('POST', `/api/lessons/${id}/predictions`, prediction(plan, change))).status
    expect(await take({ as: 'number', values: { [first!]: 61.5, [second!]: -2 } })).toBe(200)
    expect(await take({ as: 'line', order: [], values: { 't0.5p2': 4 } })).toBe(200)
    expect(await take({ as: 'change', order: [], values: { [first!]: -1 } })).toBe(200)
    expect(await take({ as: 'most-least', order: [second!, first!] })).toBe(200)
    expect(await take({ order: [], values: {} })).toBe(400)
    expect(await take({ as: 'guess' as never })).toBe(400)
    expect((await open(id)).record.predictions.map((one) => one.as)).toEqual(['number', 'line', 'change', 'most-least'])
  })

  it('hands up are counted at the desk for the whole class, until its first counted reading', async () => {
    const { lesson } = await newLesson()
    const { plan, id } = lesson
    const hands = () => prediction(plan, { group: WHOLE_CLASS, as: 'hands', values: { [plan.conditions[0]!.id]: 14 } })
    const count = (body = hands()) => call<{ prediction: { late: boolean } }>('POST', `/api/lessons/${id}/predictions`, body)
    expect((await count()).body.prediction.late).toBe(false)
    expect((await count(prediction(plan, { group: WHOLE_CLASS }))).status).toBe(409)
    const token = await joinStation(lesson.code, plan.groups[0]!.id)
    expect((await call('POST', '/api/station/predictions', hands(), token)).status).toBe(403)
    await call('POST', `/api/lessons/${id}/readings`, { readings: [reading(plan, { group: plan.groups[3]!.id })] })
    expect((await count()).body.prediction.late).toBe(true)
    // A class that predicted does not hold a group in the plan that is not there.
    const { lesson: now } = await open(id)
    expect(
      (await call('PUT', `/api/lessons/${id}/plan`, { plan: { ...plan, title: 'Ours' }, revision: now.revision })).status,
    ).toBe(200)
  })
})

describe('what a group says at its station', () => {
  it('is kept once, comes to everybody who watches, and its group stays in the plan', async () => {
    const { lesson } = await newLesson()
    const [alder, birch] = lesson.plan.groups
    const token = await joinStation(lesson.code, birch!.id)
    const remark = { id: randomUUID(), list: 'wondered', text: 'does felt drink too?' }
    for (let twice = 0; twice < 2; twice += 1) expect((await call('POST', '/api/station/remarks', remark, token)).status).toBe(200)
    expect((await open(lesson.id)).record.remarks).toMatchObject([{ ...remark, group: birch!.id }])
    expect((await call('POST', '/api/station/remarks', { ...remark, id: randomUUID(), text: ' ' }, token)).status).toBe(400)
    expect((await call('POST', '/api/station/remarks', { ...remark, id: randomUUID(), list: 'shouted' }, token)).status).toBe(400)
    expect((await call('POST', '/api/station/remarks', { ...remark, id: randomUUID() })).status).toBe(401)
    const without = (id: string) => ({
      plan: { ...lesson.plan, groups: lesson.plan.groups.filter((group) => group.id !== id) },
      revision: lesson.revision,
    })
    expect((await call('PUT', `/api/lessons/${lesson.id}/plan`, without(birch!.id))).body).toMatchObject({ code: 'group-in-use' })
    expect((await call('PUT', `/api/lessons/${lesson.id}/plan`, without(alder!.id))).status).toBe(200)
  })
})

describe('a station', () => {
  it('opens with the code, however it is typed, and sees no private notes and no cupboard', async () => {
    const { lesson } = await newLesson()
    await call('PUT', `/api/lessons/${lesson.id}/plan`, {
      plan: { ...lesson.plan, notes: 'secret', materials: lesson.plan.materials.map((one) => ({ ...one, stock: '3' })) },
      revision: lesson.revision,
    })
    const typed = ` ${lesson.code.toLowerCase().replace(' ', '')} `
    const found = await call<{ groups: { id: string; name: string }[] }>('GET', `/api/stations?code=${encodeURIComponent(typed)}`)
    expect(found.body.groups.map(({ name }) => name)).toEqual(['Alder', 'Birch', 'Cedar', 'Dogwood', 'Elm', 'Fir', 'Gorse'])
    const token = await joinStation(typed, lesson.plan.groups[2]!.id)
    for (const path of ['/api/station', `/api/lessons/${lesson.id}/board`]) {
      const { body } = await call<{ plan: { notes: string; materials: { stock: string }[] } }>('GET', path, undefined, token)
      expect(body.plan.notes).toBe('')
      expect(body.plan.materials.every(({ stock }) => stock === '')).toBe(true)
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
    expect(await call('POST', '/api/station/predictions', prediction(plan, { group: plan.groups[1]!.id }), token)).toMatchObject({
      status: 403,
    })
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
