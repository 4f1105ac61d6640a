import { randomUUID } from 'node:crypto'
import { strToU8, unzipSync, zipSync } from 'fflate'
import readSheets from 'read-excel-file/node'
import { describe, expect, inject, it } from 'vitest'
import { openLessonFile, type LessonFile } from '../../core/formats'
import type { Plan } from '../../core/lesson'
import type { TermLesson } from '../../core/wording/reports'
import { clientFor, reading, type WholeLesson } from './client'

const base = inject('base')
const { call, newLesson, open, joinStation } = clientFor(base)
const bytesOf = async (path: string) => {
  const answer = await fetch(base + path)
  return { status: answer.status, type: answer.headers.get('content-type'), bytes: new Uint8Array(await answer.arrayBuffer()) }
}
const send = async (path: string, bytes: Uint8Array) => {
  const answer = await fetch(base + path, { method: 'POST', body: Buffer.from(bytes) })
  return { status: answer.status, body: (await answer.json()) as Record<string, unknown> }
}
const sentence = (change: Record<string, unknown> = {}) => ({
  id: randomUUID(),
  group: null,
  from: null,
  text: 'Kitchen roll came first with 61 mm.',
  hands: null,
  agreed: false,
  ...change,
})

async function measured(): Promise<WholeLesson['lesson']> {
  const { lesson } = await newLesson()
  const [one, two] = lesson.plan.groups
  const rows = lesson.plan.conditions.flatMap(({ id: condition }, place) =>
    [one!, two!].flatMap(({ id: group }, shift) =>
      [1, 2].map((repeat) => reading(lesson.plan, { group, condition, repeat, value: 60 - 15 * place + shift + repeat })),
    ),
  )
  await call('POST', `/api/lessons/${lesson.id}/readings`, { readings: rows })
  return lesson
}

describe('sentences', () => {
  it('come from a station for its own group only, and grow there and at the desk', async () => {
    const { lesson } = await newLesson()
    const [alder, birch] = lesson.plan.groups as [Plan['groups'][number], Plan['groups'][number]]
    const token = await joinStation(lesson.code, alder.id)
    const first = { id: randomUUID(), from: null, text: 'Roll wins.' }
    expect((await call('POST', '/api/station/conclusions', first, token)).status).toBe(200)
    const better = { id: randomUUID(), from: first.id, text: 'Kitchen roll came first.' }
    for (let twice = 0; twice < 2; twice += 1)
      expect((await call('POST', '/api/station/conclusions', better, token)).status).toBe(200)

    const theirs = sentence({ group: birch.id, text: 'Card is last.' })
    await call('POST', `/api/lessons/${lesson.id}/conclusions`, theirs)
    const taken = { id: randomUUID(), from: theirs.id, text: 'Ours now.' }
    expect((await call<{ code: string }>('POST', '/api/station/conclusions', taken, token)).body.code).toBe('other-group')
    expect((await call('POST', '/api/station/conclusions', { ...first, id: randomUUID(), group: birch.id }, token)).status).toBe(
      400,
    )

    const { record } = await open(lesson.id)
    expect(record.conclusions.map(({ group, text, by, agreed }) => [group, text, by, agreed])).toEqual([
      [alder.id, 'Roll wins.', 'station', false],
      [alder.id, 'Kitchen roll came first.', 'station', false],
      [birch.id, 'Card is last.', 'desk', false],
    ])
    expect((await call('POST', `/api/lessons/${lesson.id}/conclusions`, sentence({ group: 'nobody' }))).status).toBe(409)
  })

  it('the draft is on the board for every desk, and does not fill the journal', async () => {
    const { lesson } = await newLesson()
    for (const draft of ['We', 'We found', 'We found that'])
      expect((await call('PUT', `/api/lessons/${lesson.id}/board`, { draft })).status).toBe(200)
    const view = await call<{ board: { draft: string } }>('GET', `/api/lessons/${lesson.id}/board`)
    expect(view.body.board.draft).toBe('We found that')
    const both = await Promise.all(
      ['We found that card', 'Maybe we found that'].map((draft) =>
        call<{ board: { draftNumber: number } }>('PUT', `/api/lessons/${lesson.id}/board`, { draft, draftFrom: 'We found that' }),
      ),
    )
    expect(both.map(({ body }) => body.board.draftNumber).sort()).toEqual([4, 5])
    const after = await call<{ board: { draft: string } }>('GET', `/api/lessons/${lesson.id}/board`)
    expect(after.body.board.draft.toLowerCase()).toBe('maybe we found that card')
    expect((await call('PUT', `/api/lessons/${lesson.id}/board`, { draftFrom: 'We' })).status).toBe(400)
    const journal = await call<string>('GET', `/api/lessons/${lesson.id}/journal.csv`)
    expect(journal.body).not.toContain('board:')
  })
})

it('taps of two desks at once all stay on the board, and one that is taken back goes', async () => {
  const { lesson } = await newLesson()
  const path = `/api/lessons/${lesson.id}/board`
  const taps = lesson.plan.groups.slice(0, 4).map(({ id }, place) => ({ group: id, at: `2026-12-02T10:0${place}:00.000Z` }))
  const answers = await Promise.all(taps.map((tap) => call('PUT', path, { tap })))
  expect(answers.map(({ status }) => status)).toEqual([200, 200, 200, 200])
  expect((await call<{ board: object }>('PUT', path, { untap: taps[1] })).body.board).toMatchObject({
    tapped: [taps[0], taps[2], taps[3]],
  })
  expect((await call('PUT', path, { tap: { group: taps[0]!.group } })).status).toBe(400)
})

it('the next lesson begins from a card that is left over, with no reading in it', async () => {
  const lesson = await measured()
  const { body } = await call<{ id: string }>('POST', `/api/lessons/${lesson.id}/next`, { from: 'factor', id: 'width' })
  const next = await open(body.id)
  expect(next.lesson.plan).toMatchObject({ changed: 'width', conditions: [], date: '' })
  expect(next.lesson.plan.factors.find(({ id }) => id === lesson.plan.changed)!.how).toMatch(/kitchen roll/)
  expect(next.record.readings).toEqual([])
  const gone = await call<{ code: string }>('POST', `/api/lessons/${lesson.id}/next`, { from: 'factor', id: lesson.plan.changed })
  expect([gone.status, gone.body.code]).toEqual([409, 'no-such-card'])
})

describe('data out and in', () => {
  it('a spreadsheet has the results, the readings as numbers, and the plan', async () => {
    const lesson = await measured()
    const { type, bytes } = await bytesOf(`/api/lessons/${lesson.id}/spreadsheet`)
    expect(type).toContain('spreadsheetml')
    const sheets = await readSheets(Buffer.from(bytes))
    expect(sheets.map(({ sheet }) => sheet)).toEqual(['Results', 'Readings', 'Plan'])
    expect(sheets[0]!.data[1]).toEqual(['A kitchen roll', 62, 62, 61, 63, 2, 4])
    expect(sheets[1]!.data).toHaveLength(17)

    // What went out as a table comes in elsewhere, through the matcher.
    const { lesson: other } = await newLesson()
    const data = Buffer.from(bytes).toString('base64')
    const onlyFirst = await call<{ rows: string[][] }>('POST', '/api/tables', { data })
    expect(onlyFirst.body.rows[0]![0]).toBe('Condition, in mm')
    const rows = sheets[1]!.data.map((row) => row.map((cell) => (cell === null ? '' : String(cell))))
    const roles = ['group', 'condition', 'repeat', 'skip', 'skip', 'value', 'unit', 'skip', 'skip', 'skip', 'skip', 'skip']
    const choices = { matches: roles.map((role) => ({ role, condition: null, repeat: null })), unit: 'mm', group: null }
    const answer = await call('POST', `/api/lessons/${other.id}/import`, { rows, choices })
    expect(answer.body).toEqual({ added: 16, skipped: 0 })
    const again = await call('POST', `/api/lessons/${other.id}/import`, { rows, choices })
    expect(again.body).toEqual({ added: 0, skipped: 16 })
    expect((await open(other.id)).record.readings.every(({ by }) => by === 'import')).toBe(true)
  })

  it('a CSV in old letters with decimal commas is read; what is no table is refused', async () => {
    const old = Buffer.from('Gruppe;H\xf6he\nAlder;5,1\n', 'latin1').toString('base64')
    expect((await call('POST', '/api/tables', { data: old })).body).toEqual({
      rows: [
        ['Gruppe', 'Höhe'],
        ['Alder', '5,1'],
      ],
    })
    const fake = Buffer.from(zipSync({ 'readme.txt': strToU8('PK') })).toString('base64')
    expect((await call<{ code: string }>('POST', '/api/tables', { data: fake })).body.code).toBe('not-a-spreadsheet')
  })

  it('a data package holds the tables and the very lesson', async () => {
    const lesson = await measured()
    const { type, bytes } = await bytesOf(`/api/lessons/${lesson.id}/package`)
    expect(type).toBe('application/zip')
    const inside = unzipSync(bytes)
    expect(Object.keys(inside)).toContain('datapackage.json')
    const opened = openLessonFile(Buffer.from(inside['lesson.beaker.json']!).toString('utf8'))
    const { body: file } = await call<LessonFile>('GET', `/api/lessons/${lesson.id}/file`)
    expect({ ...(opened as { content: object }).content, savedAt: '' }).toEqual({ ...file, savedAt: '' })
  })
})

describe('the whole library as one file', () => {
  it('comes back whole, overwrites nothing, and puts a lesson that was changed since beside its saved form', async () => {
    const lesson = await measured()
    await call('POST', `/api/lessons/${lesson.id}/conclusions`, sentence({ agreed: true, hands: 20 }))
    const { bytes } = await bytesOf('/api/library')
    const count = async () => (await call<{ all: number }>('GET', '/api/lessons')).body.all
    const before = await count()
    expect((await send('/api/library', bytes)).body).toMatchObject({ added: 0, beside: 0, alreadyThere: before, things: 0 })
    expect(await count()).toBe(before)

    // A lesson of another machine: the same backup under an id that is not here.
    const inside = unzipSync(bytes)
    const foreign = randomUUID()
    const library = JSON.parse(Buffer.from(inside['library.json']!).toString('utf8')) as { lessons: { id: string }[] }
    const moved = zipSync({
      'library.json': strToU8(JSON.stringify({ ...library, lessons: [{ id: foreign, archived: true }] })),
      [`lessons/${foreign}.beaker.json`]: inside[`lessons/${lesson.id}.beaker.json`]!,
    })
    expect((await send('/api/library', moved)).body).toMatchObject({ added: 1, alreadyThere: 0 })
    const back = await open(foreign)
    expect(back.lesson.archived).toBe(true)
    expect(back.record.readings.map(({ value }) => value)).toEqual(
      (await open(lesson.id)).record.readings.map(({ value }) => value),
    )
    expect(back.record.conclusions[0]!.text).toBe('Kitchen roll came first with 61 mm.')

    await call('POST', `/api/lessons/${lesson.id}/conclusions`, sentence({ text: 'Changed since.' }))
    expect((await send('/api/library', bytes)).body).toMatchObject({ added: 0, beside: 1 })
  })

  it('a file that is not whole is refused, and nothing comes of it', async () => {
    const lesson = await measured()
    const inside = unzipSync((await bytesOf('/api/library')).bytes)
    const before = (await call<{ all: number }>('GET', '/api/lessons')).body.all
    const gone = `lessons/${lesson.id}.beaker.json`
    const without = Object.fromEntries(Object.entries(inside).filter(([name]) => name !== gone))
    for (const [bytes, code] of [
      [new Uint8Array([1, 2, 3]), 'library-not-a-zip'],
      [zipSync({ 'other.json': strToU8('{}') }), 'library-foreign'],
      [zipSync({ 'library.json': strToU8('{"format":1}') }), 'library-broken'],
    ] as const) {
      const { status, body } = await send('/api/library', bytes)
      expect([status, body.code]).toEqual([400, code])
    }
    // A lesson in it that is missing or damaged is named, and the others come back all the same.
    for (const bytes of [zipSync(without), zipSync({ ...inside, [gone]: strToU8('{"title":"Soak-up strips"}') })]) {
      const { status, body } = await send('/api/library', bytes)
      expect([status, body]).toMatchObject([
        200,
        { added: 0, alreadyThere: before - 1, damaged: [{ message: expect.any(String) }] },
      ])
    }
    expect((await call<{ all: number }>('GET', '/api/lessons')).body.all).toBe(before)
  })
})

it('the term overview lists what was investigated between two days, with its skills', async () => {
  const lesson = await measured()
  const { plan, revision } = (await open(lesson.id)).lesson
  await call('PUT', `/api/lessons/${lesson.id}/plan`, { plan: { ...plan, date: '2031-03-12', className: 'Wren' }, revision })
  const term = async (query: string) => (await call<{ lessons: TermLesson[]; classes: string[] }>('GET', `/api/term?${query}`)).body
  const { lessons, classes } = await term('from=2031-01-01&to=2031-12-31&className=Wren')
  expect(lessons).toHaveLength(1)
  // Two of its groups measured, the others still have everything to do.
  expect(lessons[0]).toMatchObject({ id: lesson.id, grade: 'Leaning, so far' })
  expect(lessons[0]!.skills).toContain('repeating')
  expect(classes).toContain('Wren')
  expect((await term('from=2032-01-01')).lessons).toEqual([])
  expect((await call('GET', '/api/term?from=tomorrow')).status).toBe(400)
})
