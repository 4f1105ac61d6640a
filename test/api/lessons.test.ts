import { randomUUID } from 'node:crypto'
import { describe, expect, inject, it } from 'vitest'
import type { LessonFile } from '../../core/formats'
import { clientFor, prediction, reading } from './client'

const { call, newLesson, open } = clientFor(inject('base'))

interface Shelf {
  lessons: { id: string; title: string; archived: boolean; level: number; next: string }[]
}
const shelf = async () => (await call<Shelf>('GET', '/api/lessons?most=1000')).body.lessons

describe('the shelf', () => {
  it('duplicates a plan without its readings, puts it away and takes it back', async () => {
    const { lesson } = await newLesson()
    await call('POST', `/api/lessons/${lesson.id}/readings`, { readings: [reading(lesson.plan)] })
    const { body } = await call<{ id: string }>('POST', `/api/lessons/${lesson.id}/duplicate`)
    const copy = await open(body.id)
    expect(copy.record.readings).toEqual([])
    expect(copy.lesson.plan).toEqual({ ...lesson.plan, title: 'Soak-up strips (copy)' })
    expect(copy.lesson.code).not.toBe(lesson.code)

    await call('PUT', `/api/lessons/${copy.lesson.id}/archived`, { archived: true })
    expect((await shelf()).find(({ id }) => id === copy.lesson.id)?.archived).toBe(true)
    expect((await call('GET', `/api/stations?code=${encodeURIComponent(copy.lesson.code)}`)).status).toBe(404)
    await call('PUT', `/api/lessons/${copy.lesson.id}/archived`, { archived: false })
    expect((await shelf()).find(({ id }) => id === copy.lesson.id)?.archived).toBe(false)
  })
})

describe('saving a plan', () => {
  it('goes on from its revision and refuses an older one', async () => {
    const { lesson } = await newLesson(null)
    const path = `/api/lessons/${lesson.id}/plan`
    const saved = await call<{ revision: number }>('PUT', path, {
      plan: { ...lesson.plan, title: 'Ours' },
      revision: lesson.revision,
    })
    expect(saved.body.revision).toBe(lesson.revision + 1)
    const stale = await call('PUT', path, { plan: { ...lesson.plan, title: 'Theirs' }, revision: lesson.revision })
    expect(stale).toMatchObject({ status: 409, body: { code: 'stale', field: 'revision' } })
    expect((await open(lesson.id)).lesson.plan.title).toBe('Ours')
  })

  it('keeps a group and a condition that have readings in the plan', async () => {
    const { lesson } = await newLesson()
    await call('POST', `/api/lessons/${lesson.id}/readings`, { readings: [reading(lesson.plan)] })
    const without = (part: 'groups' | 'conditions') => ({
      plan: { ...lesson.plan, [part]: lesson.plan[part].slice(1) },
      revision: lesson.revision,
    })
    expect(await call('PUT', `/api/lessons/${lesson.id}/plan`, without('groups'))).toMatchObject({
      status: 409,
      body: { code: 'group-in-use' },
    })
    expect(await call('PUT', `/api/lessons/${lesson.id}/plan`, without('conditions'))).toMatchObject({
      status: 409,
      body: { code: 'condition-in-use' },
    })
  })

  it('takes a nonsensical plan as it is: half done, twice the same, emoji, very long', async () => {
    const { lesson } = await newLesson(null)
    const conditions = Array.from({ length: 40 }, (_, place) => ({
      id: `c${place}`,
      label: place % 2 ? '🧪' : '',
      baseline: true,
      leftOut: false,
    }))
    const plan = {
      ...lesson.plan,
      changed: 'gone',
      measured: 'gone',
      conditions,
      factors: [{ id: 'f', name: 'x'.repeat(2000), how: '🧻'.repeat(500), exceptions: { c1: '?' }, comesWith: true }],
      groups: [],
    }
    expect((await call('PUT', `/api/lessons/${lesson.id}/plan`, { plan, revision: lesson.revision })).status).toBe(200)
    expect((await open(lesson.id)).lesson.plan).toEqual(plan)
    expect((await call('GET', '/api/lessons')).status).toBe(200)
  })
})

describe('the lesson file', () => {
  it('opens elsewhere with the same plan, predictions, readings and conclusion', async () => {
    const { lesson } = await newLesson()
    const { plan, id } = lesson
    const first = reading(plan, { value: 5.2, entered: '5,2' })
    const mended = reading(plan, { value: 52, entered: '52', supersedes: first.id, reason: 'was written as 5,2' })
    await call('POST', `/api/lessons/${id}/readings`, { readings: [first, mended] })
    const said = prediction(plan, { group: plan.groups[1]!.id, reason: 'it is the fluffiest' })
    await call('POST', `/api/lessons/${id}/predictions`, said)
    await call('POST', `/api/lessons/${id}/conclusions`, {
      id: randomUUID(),
      group: null,
      from: null,
      text: 'We cannot tell yet.',
      hands: 20,
      agreed: true,
    })

    const file = await call<LessonFile>('GET', `/api/lessons/${id}/file`)
    expect(file.headers.get('content-disposition')).toBe('attachment; filename="Soak-up-strips.beaker.json"')
    const opened = await call<{ id: string }>('POST', '/api/lessons/open', { text: JSON.stringify(file.body) })
    const copy = await open(opened.body.id)
    const original = await open(id)
    expect(copy.lesson.plan).toEqual(original.lesson.plan)
    const bare = <T extends { id: string }>(rows: T[]) =>
      rows.map((row) => ({ ...row, id: '', supersedes: 'supersedes' in row ? row.supersedes !== null : null }))
    expect(bare(copy.record.readings)).toEqual(bare(original.record.readings))
    expect(copy.record.readings[1]!.supersedes).toBe(copy.record.readings[0]!.id)
    expect(bare(copy.record.predictions)).toEqual(bare(original.record.predictions))
    expect(bare(copy.record.conclusions)).toEqual(bare(original.record.conclusions))
  })

  it('says what is wrong with a broken, foreign or newer file, and where, and changes nothing', async () => {
    const { lesson } = await newLesson()
    const { body: file } = await call<LessonFile>('GET', `/api/lessons/${lesson.id}/file`)
    const before = (await shelf()).length
    const attempt = async (content: unknown) =>
      (
        await call<{ code: string; message: string; field: string }>('POST', '/api/lessons/open', {
          text: typeof content === 'string' ? content : JSON.stringify(content),
        })
      ).body
    expect(await attempt(JSON.stringify(file, null, 1).slice(0, -40))).toMatchObject({
      code: 'file-not-json',
      field: expect.stringMatching(/^line \d+, column \d+$/),
    })
    expect(await attempt({ ...file, format: 'something-else' })).toMatchObject({ code: 'file-foreign' })
    expect(await attempt({ ...file, schemaVersion: 99 })).toMatchObject({ code: 'file-newer' })
    expect(await attempt({ ...file, plan: { ...file.plan, repeats: 'three' } })).toMatchObject({
      code: 'file-broken',
      field: 'plan.repeats',
    })
    const wrong = { ...reading(lesson.plan, { unit: 'furlong' as 'mm' }), by: 'desk', at: '2026-03-12T10:00:00.000Z' }
    expect(await attempt({ ...file, readings: [wrong] })).toMatchObject({
      code: 'file-broken',
      field: 'readings[0].unit',
      message: expect.stringContaining('Nothing was changed'),
    })
    expect(await shelf()).toHaveLength(before)
  })
})

describe('readings as a table', () => {
  it('go out and come in again without loss, and twice is once', async () => {
    const { lesson } = await newLesson()
    const { plan, id } = lesson
    const first = reading(plan, { entered: '=61', reason: '+1 "quoted", with comma' })
    const rows = [
      first,
      reading(plan, { repeat: 2, status: 'set-aside', reason: 'leaked' }),
      reading(plan, { practice: true }),
      reading(plan, { value: 60, supersedes: first.id, entered: '6 cm' }),
    ]
    await call('POST', `/api/lessons/${id}/readings`, { readings: rows })
    const { body: table, headers } = await call<string>('GET', `/api/lessons/${id}/readings.csv`)
    expect(headers.get('content-type')).toContain('text/csv')
    // A spreadsheet knows its letters by the mark in front, which is no part of the text.
    const bytes = await fetch(`${inject('base')}/api/lessons/${id}/readings.csv`).then((answer) => answer.arrayBuffer())
    expect([...new Uint8Array(bytes).slice(0, 3)]).toEqual([0xef, 0xbb, 0xbf])
    expect(table.split('\r\n')[0]).toBe(
      'group,condition,repeat,moment,measure,value,unit,status,reason,practice,confirmed,entered,by,at,id,supersedes',
    )
    expect(await call('POST', `/api/lessons/${id}/readings.csv`, { text: table })).toMatchObject({
      status: 200,
      body: { added: 0, alreadyThere: 4 },
    })

    const elsewhere = await newLesson()
    const renewed = table.replace(/[0-9a-f]{8}-[0-9a-f]{4}-/g, (start) =>
      start[0] === 'f' ? `e${start.slice(1)}` : `f${start.slice(1)}`,
    )
    expect(await call('POST', `/api/lessons/${elsewhere.lesson.id}/readings.csv`, { text: renewed })).toMatchObject({
      status: 200,
      body: { added: 4 },
    })
    const bare = (list: { id: string; supersedes: string | null; group: string }[]) =>
      list.map((row) => ({ ...row, id: '', group: '', supersedes: row.supersedes !== null }))
    expect(bare((await open(elsewhere.lesson.id)).record.readings)).toEqual(bare((await open(id)).record.readings))
  })

  it('is refused whole, with line and column, when one cell is wrong', async () => {
    const { lesson } = await newLesson()
    const text = 'group;condition;repeat;value;unit\nAlder;A;1;61,5;mm\nAlder;A;2;sixty;mm\nNobody;A;1;5;mm\n'
    const answer = await call<{ message: string }>('POST', `/api/lessons/${lesson.id}/readings.csv`, { text })
    expect(answer).toMatchObject({ status: 400, body: { code: 'table-bad-value', field: 'line 3, value' } })
    expect(answer.body.message).toContain('There is 1 more problem')
    expect((await open(lesson.id)).record.readings).toEqual([])
  })
})
