import { randomUUID } from 'node:crypto'
import { strFromU8, unzipSync } from 'fflate'
import { describe, expect, inject, it } from 'vitest'
import { EVERY_KIND, type AnyKind, type AnyRow, type Column, type Plan } from '../../core/lesson'
import type { LessonFile } from '../../core/formats'
import { clientFor, type WholeLesson } from './client'

const base = inject('base')
const { call, newLesson, open, joinStation } = clientFor(base)

/** Something that stands in such a column, where the plan is this one. */
function anything(column: Column, plan: Plan, group: string): unknown {
  switch (column.is) {
    case 'row-id':
    case 'picture':
      return column.nullable ? null : randomUUID()
    case 'plan-id':
      return group
    case 'plan-ids':
      return plan.conditions.map(({ id }) => id)
    case 'moment':
      return ''
    case 'text':
      return 'it drips & dries, "quickly"'.slice(0, column.most)
    case 'unit':
      return 'mm'
    case 'number':
      return 61.5
    case 'numbers':
      return { [plan.conditions[0]!.id]: 61.5 }
    case 'whole':
      return column.nullable ? null : column.least
    case 'yes-or-no':
      return false
    case 'one-of':
      return column.words[0]
    case 'time':
      return '2026-03-12T10:55:00.000Z'
  }
}

/** A row of a kind with something in every column that may be said from there. */
function said(kind: AnyKind, columns: readonly string[], plan: Plan, group: string): Record<string, unknown> {
  const row = Object.fromEntries(columns.map((name) => [name, anything(kind.columns[name]!, plan, group)]))
  return { ...row, ...(kind.conditions === 'condition' && { condition: plan.conditions[1]!.id }) }
}

const bodyOf = (kind: AnyKind, row: object) => (kind.list === 'readings' ? { readings: [row] } : row)
const rowsIn = (whole: WholeLesson, kind: AnyKind) => (whole.record as unknown as Record<string, AnyRow[]>)[kind.list]!
const saidColumns = (kind: AnyKind) => Object.keys(kind.columns).filter((column) => !kind.stamped.includes(column))

// What only the teacher writes is tried in planAgainstRecord.test.ts.
describe.each(EVERY_KIND.filter(({ deskOnly }) => !deskOnly).map((kind) => [kind.kind, kind] as const))(
  'a row of the kind %s',
  (name, kind) => {
    async function lessonWithRows() {
      const { lesson, event } = await newLesson()
      const [own, other] = lesson.plan.groups.map(({ id }) => id) as [string, string]
      const token = await joinStation(lesson.code, own)
      const row = said(kind, kind.station, lesson.plan, own)
      const sent = await call('POST', `/api/station/${kind.list}`, bodyOf(kind, row), token)
      expect(sent.status, JSON.stringify(sent.body)).toBe(200)
      return { lesson, event, own, other, token, row }
    }

    it('comes from a station for its own group only, stands in the record once, and says where it came from', async () => {
      const { lesson, own, other, token, row } = await lessonWithRows()
      await call('POST', `/api/station/${kind.list}`, bodyOf(kind, row), token)
      const stored = rowsIn(await open(lesson.id), kind)
      expect(stored).toHaveLength(1)
      expect(stored[0]).toMatchObject({ ...kind.unsaid, ...row, group: own, ...('by' in kind.columns && { by: 'station' }) })
      expect(Object.keys(stored[0]!).sort()).toEqual(Object.keys(kind.columns).sort())
      if (kind.station.includes('group')) {
        const foreign = { ...said(kind, kind.station, lesson.plan, other), id: randomUUID() }
        expect(await call('POST', `/api/station/${kind.list}`, bodyOf(kind, foreign), token)).toMatchObject({
          status: 403,
          body: { code: 'other-group' },
        })
      }
    })

    it('is written at the desk where the desk writes such rows, and nowhere else', async () => {
      const { lesson } = await newLesson()
      const row = said(kind, saidColumns(kind), lesson.plan, lesson.plan.groups[0]!.id)
      const { status } = await call('POST', `/api/lessons/${lesson.id}/${kind.list}`, bodyOf(kind, row))
      expect(status).toBe(kind.desk ? 200 : 404)
      expect(rowsIn(await open(lesson.id), kind)).toHaveLength(kind.desk ? 1 : 0)
      // One that another lesson has already is refused there, and nothing of it stays.
      const other = (await newLesson()).lesson
      const again = { ...said(kind, saidColumns(kind), other.plan, other.plan.groups[0]!.id), id: row.id }
      if (kind.desk)
        expect(await call('POST', `/api/lessons/${other.id}/${kind.list}`, bodyOf(kind, again))).toMatchObject({
          status: 409,
          body: { code: 'id-taken' },
        })
      expect(rowsIn(await open(other.id), kind)).toEqual([])
    })

    it('goes to everybody who watches, into the journal, the file and the backup, and keeps its group in the plan', async () => {
      const { lesson, event, own, row } = await lessonWithRows()
      const away = new AbortController()
      const stream = await fetch(`${base}/api/lessons/${lesson.id}/events?since=${event}`, { signal: away.signal })
      let heard = ''
      const decoder = new TextDecoder()
      for await (const chunk of stream.body as unknown as AsyncIterable<Uint8Array>) {
        heard += decoder.decode(chunk, { stream: true })
        if (heard.includes(String(row.id))) break
      }
      away.abort()
      expect(heard).toContain(`"kind":"${name}"`)

      const group = lesson.plan.groups.find(({ id }) => id === own)!
      expect(
        (await call<string>('GET', `/api/lessons/${lesson.id}/journal.csv`)).body
          .split('\r\n')
          .filter((line) => line.includes(group.name)),
      ).not.toEqual([])

      const file = (await call<LessonFile>('GET', `/api/lessons/${lesson.id}/file`)).body
      const stored = rowsIn(await open(lesson.id), kind)
      expect((file as unknown as Record<string, AnyRow[]>)[kind.list]).toEqual(stored)
      const opened = await call<{ id: string }>('POST', '/api/lessons/open', { text: JSON.stringify(file) })
      const copy = rowsIn(await open(opened.body.id), kind)
      expect(copy.map((one) => ({ ...one, id: '' }))).toEqual(stored.map((one) => ({ ...one, id: '' })))
      expect(copy[0]!.id).not.toBe(stored[0]!.id)

      const backup = unzipSync(new Uint8Array(await (await fetch(`${base}/api/library`)).arrayBuffer()))
      expect(strFromU8(backup[`lessons/${lesson.id}.beaker.json`]!)).toContain(String(row.id))

      const plan = { ...lesson.plan, groups: lesson.plan.groups.filter(({ id }) => id !== own) }
      expect((await call('PUT', `/api/lessons/${lesson.id}/plan`, { plan, revision: lesson.revision })).body).toMatchObject({
        code: 'group-in-use',
      })
    })

    it('that lacks a column, has one too many or one that is wrong is refused at that column', async () => {
      const { lesson } = await newLesson()
      const token = await joinStation(lesson.code, lesson.plan.groups[0]!.id)
      const row = said(kind, kind.station, lesson.plan, lesson.plan.groups[0]!.id)
      const send = (wrong: object) =>
        call<{ code: string; field?: string }>('POST', `/api/station/${kind.list}`, bodyOf(kind, wrong), token)
      for (const column of kind.station) {
        const { [column]: _left, ...rest } = row
        // What came later is null from a page that does not know it.
        const lacking = kind.columns[column]!.later ? [] : [rest]
        for (const wrong of [...lacking, { ...row, [column]: { deep: [1] } }]) {
          const { status, body } = await send(wrong)
          expect([status, body.field?.split(/[.[]/).includes(column) || body.field?.endsWith(column)]).toEqual([400, true])
        }
      }
      expect((await send({ ...row, late: true })).status).toBe(400)
      expect(rowsIn(await open(lesson.id), kind)).toEqual([])
    })
  },
)
