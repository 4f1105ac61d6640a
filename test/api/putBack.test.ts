import { randomUUID } from 'node:crypto'
import { Socket } from 'node:net'
import Papa from 'papaparse'
import fc from 'fast-check'
import { unzipSync } from 'fflate'
import { describe, expect, it } from 'vitest'
import { EVERY_KIND, type AnyKind, type Column, type LessonRecord, type Plan } from '../../core/lesson'
import { NUMBER_UNITS } from '../../core/quantity'
import type { LessonFile } from '../../core/formats'
import type { Restored } from '../../schemas/contract'
import { startApplication, temporaryFolder } from '../application'
import { whileOthersAsk, withLastCorner } from '../faults/hostileTable'
import { clientFor, reading } from './client'
import { ownLibrary } from './ownLibrary'

// What is written here would make every backup of the other tests heavy.
const library = ownLibrary()
const { call, newLesson } = library

/** Whatever a child, a teacher or a foreign spreadsheet may write. */
const anyText = (most: number) =>
  fc.oneof(
    fc.string({ unit: 'grapheme', maxLength: Math.min(most, 80) }).map((text) => text.slice(0, most)),
    fc.constantFrom('-2+3', '=SUM(A1)', '+1', '@x', '"', 'a\r\nb', '\u2028', 'x'.repeat(most)),
  )
const anyNumber = fc.oneof(fc.double({ min: -1e12, max: 1e12, noNaN: true }), fc.constantFrom(0, -0, 1e-9, 1e12))

function anyColumn(column: Column, plan: Plan): fc.Arbitrary<unknown> {
  const value = ((): fc.Arbitrary<unknown> => {
    switch (column.is) {
      case 'row-id':
      case 'picture':
        return column.nullable ? fc.constant(null) : fc.uuid({ version: 4 })
      case 'plan-id':
        return fc.constantFrom(...plan.conditions.map(({ id }) => id))
      case 'plan-ids':
        return fc.shuffledSubarray(plan.conditions.map(({ id }) => id))
      case 'moment':
        return fc.constant('')
      case 'text':
        return anyText(column.most)
      case 'unit':
        return fc.constantFrom(...NUMBER_UNITS)
      case 'number':
        return anyNumber
      case 'numbers':
        return fc.dictionary(fc.constantFrom(...plan.conditions.map(({ id }) => id)), anyNumber)
      case 'whole':
        return fc.integer({ min: column.least, max: column.most })
      case 'yes-or-no':
        return fc.boolean()
      case 'one-of':
        return fc.constantFrom(...column.words)
      case 'time':
        return fc.constant('2026-03-12T10:55:00.000Z')
    }
  })()
  return column.nullable && !['row-id', 'picture'].includes(column.is) ? fc.option(value) : value
}

const anyRow = (kind: AnyKind, plan: Plan) =>
  fc
    .record(
      Object.fromEntries(
        Object.entries(kind.columns)
          .filter(([name]) => !kind.stamped.includes(name))
          .map(([name, column]) => [name, anyColumn(column, plan)]),
      ),
    )
    .map((row) => ({ ...row, group: plan.groups[0]!.id }))

const anyThing = fc.record({
  id: fc.uuid({ version: 4 }),
  name: anyText(200),
  unit: fc.constantFrom(...NUMBER_UNITS),
  stock: fc.double({ min: -1, max: 1.1e6, noNaN: true }),
  place: anyText(200),
  minimum: fc.option(fc.double({ min: 0, max: 1e6, noNaN: true })),
  pack: fc.option(fc.double({ min: 0, max: 1e6, noNaN: true })),
  price: fc.option(fc.double({ min: 0, max: 1e6, noNaN: true })),
})

const readSpreadsheet = (table: string) => Papa.parse<string[]>(table).data

describe('what is accepted can be put back', () => {
  it('everything that the routes take comes back from a backup in another library, the same to the last letter', async () => {
    // Libraries of their own, since what is written here is not what a class would write.
    const [one, two] = [temporaryFolder(), temporaryFolder()]
    const first = await startApplication({ data: one.folder })
    const { base } = first
    const { call, newLesson, open } = clientFor(base)
    const { lesson } = await newLesson()
    const { plan } = lesson
    const accepted: Record<string, number> = {}
    const send = async (method: string, path: string, body: unknown, what: string) => {
      const { status } = await call(method, path, body)
      expect(status, `${path} ${JSON.stringify(body)}`).toBeLessThan(500)
      if (status === 200) accepted[what] = (accepted[what] ?? 0) + 1
    }
    for (const kind of EVERY_KIND.filter(({ desk }) => desk))
      await fc.assert(
        fc.asyncProperty(anyRow(kind, plan), (row) =>
          send('POST', `/api/lessons/${lesson.id}/${kind.list}`, kind.list === 'readings' ? { readings: [row] } : row, kind.list),
        ),
        { numRuns: 40 },
      )
    await fc.assert(
      fc.asyncProperty(anyThing, (thing) => send('PUT', '/api/cupboard', thing, 'things')),
      { numRuns: 40 },
    )
    await fc.assert(
      fc.asyncProperty(
        fc.record({
          title: anyText(200),
          notes: anyText(400),
          date: fc.constantFrom('', '2026-02-31', '2026-03-12', '0000-01-01', '9999-12-31'),
        }),
        async (change) => {
          const { lesson: now } = await open(lesson.id)
          await send('PUT', `/api/lessons/${lesson.id}/plan`, { plan: { ...now.plan, ...change }, revision: now.revision }, 'plans')
        },
      ),
      // So many that chance does not leave fewer than four that are accepted.
      { numRuns: 50 },
    )
    for (const what of ['readings', 'predictions', 'conclusions', 'observations', 'things', 'plans'])
      expect(accepted[what], what).toBeGreaterThan(3)

    const beside = (await newLesson('bounce-back')).lesson
    await call('POST', '/api/together', { lessons: [lesson.id, beside.id] })
    const backup = new Uint8Array(await (await fetch(`${base}/api/library`)).arrayBuffer())
    const other = await startApplication({ data: two.folder })
    const restored = await fetch(`${other.base}/api/library`, { method: 'POST', body: backup })
    const { added, damaged } = (await restored.json()) as Restored
    expect([restored.status, damaged]).toEqual([200, []])
    expect(added).toBe(Object.keys(unzipSync(backup)).length - 1)
    const fileAt = async (address: string) =>
      (await clientFor(address).call<LessonFile>('GET', `/api/lessons/${lesson.id}/file`)).body
    expect({ ...(await fileAt(other.base)), savedAt: '' }).toEqual({ ...(await fileAt(base)), savedAt: '' })
    const { body: running } = await clientFor(other.base).call<{ together: { lessons: { id: string }[] }[] }>(
      'GET',
      '/api/together',
    )
    expect(running.together.map((one) => one.lessons.map(({ id }) => id))).toEqual([[lesson.id, beside.id]])
    // And its tables are harmless in a spreadsheet.
    for (const path of [`/api/lessons/${lesson.id}/readings.csv`, `/api/lessons/${lesson.id}/journal.csv`, '/api/cupboard/file']) {
      const { body: table } = await call<string>('GET', path)
      const cells = readSpreadsheet(table).flat()
      const formulas = cells.filter((cell) => /^[=@\t\r]|^[+-](?!\d+(?:[.,]\d+)?(?:e[+-]?\d+)?$)/.test(cell))
      expect(formulas).toEqual([])
    }
    await Promise.all([first.stop(), other.stop()])
    one.remove()
    two.remove()
  })

  it('the school’s own settings come along into an empty library; elsewhere ours stay until the head desk takes the backup’s', async () => {
    const { folder, remove } = temporaryFolder()
    const there = await startApplication({ data: folder })
    const at = clientFor(there.base)
    const customs = (english: string) => ({ english, currency: 'EUR' })
    const calendar = (days: number) => ({
      className: 'Puffin',
      calendar: { weekdays: Array.from({ length: 7 }, (_, day) => day < days), terms: [], holidays: [] },
    })
    const { lesson } = await newLesson()
    expect((await call('PUT', '/api/cupboard/customs', customs('american'))).status).toBe(200)
    expect((await call('PUT', '/api/calendar', calendar(3))).status).toBe(200)
    const backup = new Uint8Array(await (await fetch(`${library.base()}/api/library`)).arrayBuffer())
    const put = async (query = '') =>
      (await (await fetch(`${there.base}/api/library${query}`, { method: 'POST', body: backup })).json()) as Restored
    const ours = async () =>
      (await at.call<{ school: { customs: object } }>('GET', `/api/lessons/${lesson.id}/school`)).body.school.customs
    expect((await put()).differs).toBeNull()
    expect(await ours()).toEqual(customs('american'))
    await at.call('PUT', '/api/cupboard/customs', customs('british'))
    await at.call('PUT', '/api/calendar', calendar(4))
    expect(await put()).toMatchObject({ added: 0, beside: 0, differs: { customs: true, held: false, calendars: ['Puffin'] } })
    expect(await ours()).toEqual(customs('british'))
    expect((await put('?takeSchool=true')).differs).toBeNull()
    expect(await ours()).toEqual(customs('american'))
    await there.stop()
    remove()
  })

  it('a lesson that is as full as a file may be takes no more at the door either', async () => {
    const { lesson } = await newLesson()
    const file = (await call<LessonFile>('GET', `/api/lessons/${lesson.id}/file`)).body
    const at = '2026-03-12T10:55:00.000Z'
    const readings = Array.from({ length: 20_000 }, () => ({ ...reading(lesson.plan), by: 'desk', at }))
    const sentence = () => ({ id: randomUUID(), group: null, from: null, text: 'x', hands: null, agreed: false })
    const conclusions = Array.from({ length: 2000 }, () => ({ ...sentence(), by: 'desk', at }))
    const { body, status } = await call<{ id: string }>('POST', '/api/lessons/open', {
      text: JSON.stringify({ ...file, readings, conclusions } as unknown as LessonRecord),
    })
    expect(status).toBe(200)
    const full = { status: 409, body: { code: 'too-many-rows' } }
    expect(await call('POST', `/api/lessons/${body.id}/readings`, { readings: [reading(lesson.plan)] })).toMatchObject(full)
    expect(await call('POST', `/api/lessons/${body.id}/conclusions`, sentence())).toMatchObject(full)
    const again = (await call<LessonFile>('GET', `/api/lessons/${body.id}/file`)).body
    expect((await call('POST', '/api/lessons/open', { text: JSON.stringify(again) })).status).toBe(200)
  })

  it('a file with letters, times or ids that cannot be kept is refused at the place', async () => {
    const { lesson } = await newLesson()
    const file = (await call<LessonFile>('GET', `/api/lessons/${lesson.id}/file`)).body
    const row = { ...reading(lesson.plan), by: 'desk', at: '2026-03-12T10:55:00.000Z' }
    for (const [content, field] of [
      [{ ...file, plan: { ...file.plan, notes: 'a\0b' } }, 'plan.notes'],
      [{ ...file, plan: { ...file.plan, title: '\ud800' } }, 'plan.title'],
      [{ ...file, plan: { ...file.plan, date: '2026-02-31' } }, 'plan.date'],
      [{ ...file, readings: [{ ...row, at: '0000-01-01T00:00:00.000Z' }] }, 'readings[0].at'],
      [{ ...file, readings: [{ ...row, at: '+275760-01-01T00:00:00.000Z' }] }, 'readings[0].at'],
      [{ ...file, readings: [{ ...row, id: `{${row.id}}` }] }, 'readings[0].id'],
      [{ ...file, readings: [{ ...row, id: '00000000-0000-1000-8000-000000000000' }] }, 'readings[0].id'],
    ] as const)
      expect((await call('POST', '/api/lessons/open', { text: JSON.stringify(content) })).body).toMatchObject({
        code: 'file-broken',
        field,
      })
    const csv = 'group,condition,repeat,value,unit,at,id\r\n'
    const cells = (at: string, id: string) => `${csv}${lesson.plan.groups[0]!.name},A,1,5,mm,${at},${id}\r\n`
    for (const [text, status] of [
      [cells('', '{00000000-0000-4000-8000-000000000000}'), 400],
      [cells('+275760-09-13T00:00:00Z', ''), 200],
      [cells('', 'a\0b'), 400],
    ] as const)
      expect((await call('POST', `/api/lessons/${lesson.id}/readings.csv`, { text })).status).toBe(status)
  })

  it('a title cannot add lines to a calendar file', async () => {
    const { lesson } = await newLesson()
    const title = 'Strips\r\nBEGIN:VALARM\u2028END:VCALENDAR\rX-EVIL:1'
    const plan = { ...lesson.plan, title, date: '2031-03-12', clock: { ...lesson.plan.clock, start: '09:00' } }
    await call('PUT', `/api/lessons/${lesson.id}/plan`, { plan, revision: lesson.revision })
    for (const what of ['getting-ready', 'reading-days']) {
      const { body } = await call<string>('GET', `/api/lessons/${lesson.id}/calendar.ics?what=${what}`)
      expect(body.split(/[\r\n\u2028]+/).filter((line) => /^(?:X-EVIL|BEGIN:VALARM\S|END:VCALENDAR.)/.test(line))).toEqual([])
    }
  })
})

// It used to take a minute and the server with it. How fast it is says `npm run faults`.
describe('a hostile file', () => {
  it('that is a spreadsheet with a cell in its last corner is refused, and nobody waits for it', async () => {
    const { lesson } = await newLesson()
    await call('POST', `/api/lessons/${lesson.id}/readings`, { readings: [reading(lesson.plan)] })
    const sheet = new Uint8Array(await (await fetch(`${library.base()}/api/lessons/${lesson.id}/spreadsheet`)).arrayBuffer())
    const data = Buffer.from(withLastCorner(sheet)).toString('base64')
    const { answer, seconds, longest } = await whileOthersAsk(library.base(), call('POST', '/api/tables', { data }))
    expect(answer).toMatchObject({ status: 400, body: { code: 'table-too-large' } })
    expect(seconds).toBeLessThan(90)
    expect(longest).toBeLessThan(12_000)
  })

  it('that is a huge table of things is refused, and nobody waits for it', async () => {
    const text = `thing,stock\n${'ruler,3\n'.repeat(1_500_000)}`
    const { answer, seconds, longest } = await whileOthersAsk(library.base(), call('POST', '/api/cupboard/file', { text }))
    expect(answer).toMatchObject({ status: 400, body: { code: 'csv-too-many-rows' } })
    expect(seconds).toBeLessThan(90)
    expect(longest).toBeLessThan(12_000)
    // Made before, and on a fresh connection: an idle one may have been closed while 48 MB were put together.
    const larger = JSON.stringify({ text: text.repeat(4) })
    await call('GET', '/api/health')
    expect((await call('POST', '/api/cupboard/file', larger)).status).toBe(413)
  })
})

it('a reader that never reads is let go', async () => {
  const { lesson } = await newLesson()
  const socket = new Socket()
  const gone = new Promise((resolve) => {
    socket.on('close', resolve)
    socket.on('error', () => undefined)
  })
  socket.connect(Number(new URL(library.base()).port), '127.0.0.1')
  socket.write(`GET /api/lessons/${lesson.id}/events HTTP/1.1\r\nHost: localhost\r\n\r\n`)
  await new Promise((next) => setTimeout(next, 500))
  socket.pause()
  for (let batch = 0; batch < 36; batch += 1) {
    const readings = Array.from({ length: 500 }, () => reading(lesson.plan, { reason: 'x'.repeat(300) }))
    await call('POST', `/api/lessons/${lesson.id}/readings`, { readings })
  }
  socket.resume()
  const ended = await Promise.race([gone.then(() => true), new Promise((late) => setTimeout(() => late(false), 60_000))])
  socket.destroy()
  expect(ended).toBe(true)
})
