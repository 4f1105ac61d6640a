import { randomUUID } from 'node:crypto'
import { expect, inject, it } from 'vitest'
import type { LessonFile } from '../../core/formats'
import type { Restored } from '../../schemas/contract'
import {
  deskAt,
  raceOwnQuestions,
  racePlanAgainstRows,
  raceSplitsAgainstRows,
  runningAt,
  runTogether,
  sumOf,
  TAKEN_AWAY,
} from '../races'
import { clientFor, reading } from './client'

const base = inject('base')
const { call, newLesson, open } = clientFor(base)
const desk = deskAt(base)

it.each(Object.keys(TAKEN_AWAY))('a plan without a %s and rows of it at the same moment: one of the two is told', async (what) => {
  const all = []
  for (const after of [0, 0, 0, 0, 1, 2, 5, 5]) all.push(await racePlanAgainstRows(desk, desk, what, after))
  const sum = sumOf(all)
  expect(sum).toMatchObject({ lost: 0, homeless: 0, broken: [] })
  expect(sum.saved + sum.taken, 'somebody got through').toBeGreaterThan(0)
})

it('groups that are split off and joined again while they write lose nothing, and what was on its way follows its group', async () => {
  const raced = await raceSplitsAgainstRows(desk, desk, 6)
  expect(raced).toMatchObject({ lost: 0, doubled: 0, homeless: 0, broken: [], splits: 6 })
  expect(raced.taken).toBeGreaterThan(20)
})

it('questions that are asked at the same moment all run together from then on', async () => {
  expect(await raceOwnQuestions([desk])).toEqual({ refused: [], running: 5, joined: 5 })
})

it('a desk that chooses which lessons run together leaves alone what it has not seen', async () => {
  const { id, lessons } = await runTogether(desk, 'soak-up-strips', 'bounce-back')
  const third = (await newLesson('swing-time')).lesson.id
  const ids = lessons.map((one) => one.id)
  await call('PUT', `/api/together/${id}/lessons`, { lessons: [...ids, third], seen: ids })
  await call('PUT', `/api/together/${id}/lessons`, { lessons: ids.slice(0, 1), seen: ids })
  expect((await runningAt(desk, id)).lessons.map((one) => one.id)).toEqual([ids[0], third])
})

it('rows without a home come in with a file, are kept, wait for the teacher, and go out and come back with a backup', async () => {
  const { lesson } = await newLesson()
  const { plan } = lesson
  const gone = plan.groups.at(-1)!.id
  await call('POST', `/api/lessons/${lesson.id}/readings`, { readings: [reading(plan, { group: gone }), reading(plan)] })
  const file = (await call<LessonFile>('GET', `/api/lessons/${lesson.id}/file`)).body
  const stray = { ...file, plan: { ...plan, groups: plan.groups.slice(0, -1) } }
  const opened = await call<{ id: string }>('POST', '/api/lessons/open', { text: JSON.stringify(stray) })
  expect(opened.status).toBe(200)
  const { id } = opened.body
  const whole = await open(id)
  expect(whole.record.readings).toHaveLength(2)
  // Its plan can be saved, and changed.
  const renamed = { ...whole.lesson.plan, title: 'With a stray' }
  expect((await call('PUT', `/api/lessons/${id}/plan`, { plan: renamed, revision: whole.lesson.revision })).status).toBe(200)
  // The board counts what has a home.
  const board = async () => (await call<{ record: { readings: object[] } }>('GET', `/api/lessons/${id}/board`)).body.record.readings
  expect(await board()).toHaveLength(1)
  const lost = whole.record.readings.find((row) => row.group === gone)!
  const placing = {
    id: randomUUID(),
    group: null,
    of: 'reading',
    row: lost.id,
    to: plan.groups[1]!.id,
    condition: null,
    aside: false,
  }
  expect((await call('POST', `/api/lessons/${id}/placings`, { ...placing, to: gone })).body).toMatchObject({
    code: 'unknown-group',
  })
  expect((await call('POST', `/api/lessons/${id}/placings`, { ...placing, aside: true })).status).toBe(400)
  expect((await call('POST', `/api/lessons/${id}/placings`, placing)).status).toBe(200)
  expect((await board()).map((row) => (row as { group: string }).group)).toContain(plan.groups[1]!.id)

  const saved = (await call<LessonFile>('GET', `/api/lessons/${id}/file`)).body
  expect(saved.readings).toHaveLength(2)
  expect(saved.placings).toMatchObject([{ row: lost.id }])
  const again = await call<{ id: string }>('POST', '/api/lessons/open', { text: JSON.stringify(saved) })
  const copy = (await open(again.body.id)).record
  expect(copy.placings[0]!.row).toBe(copy.readings.find((row) => row.group === gone)!.id)
  const backup = new Uint8Array(await (await fetch(`${base}/api/library`)).arrayBuffer())
  const restored = (await (await fetch(`${base}/api/library`, { method: 'POST', body: backup })).json()) as Restored
  expect(restored).toMatchObject({ added: 0, beside: 0, damaged: [] })
})

it('an id that another group has answers nobody with that group’s row', async () => {
  const { lesson } = await newLesson()
  const { plan } = lesson
  const row = reading(plan)
  await call('POST', `/api/lessons/${lesson.id}/readings`, { readings: [row] })
  const { joinStation } = clientFor(base)
  const token = await joinStation(lesson.code, plan.groups[1]!.id)
  const taken = await call('POST', '/api/station/readings', { readings: [{ ...row, group: plan.groups[1]!.id }] }, token)
  expect(taken).toMatchObject({ status: 409, body: { code: 'id-taken' } })
})
