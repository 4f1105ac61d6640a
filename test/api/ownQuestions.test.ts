import { randomUUID } from 'node:crypto'
import { expect, inject, it } from 'vitest'
import type { Plan } from '../../core/lesson'
import type { BoardView, JoinView, OpenedLesson } from '../../schemas/contract'
import type { WholeTogether } from '../../schemas/togetherContract'
import { clientFor, reading } from './client'

const { call, newLesson, joinStation } = clientFor(inject('base'), { className: `Own ${randomUUID().slice(0, 8)}`, children: 26 })
const open = async (id: string) => (await call<OpenedLesson>('GET', `/api/lessons/${id}`)).body
const named = ({ plan }: { plan: Plan }) => plan.groups.map(({ name }) => name)

/** A lesson in which each group asks its own question, and what Cedar asks in it. */
async function asking(whose: Plan['asked']['whose'] = 'groups') {
  const { lesson } = await newLesson()
  const plan = { ...lesson.plan, title: `Own ${randomUUID().slice(0, 8)}`, asked: { whose, chosen: null } }
  await call('PUT', `/api/lessons/${lesson.id}/plan`, { plan, revision: lesson.revision })
  const asked = { name: 'Cedar', change: 'the width of the strip', measure: plan.measures[0]!.name, conditions: ['1 cm', '4 cm'] }
  const ask = (change: object = {}) =>
    call<{ id: string; code: string }>('POST', `/api/lessons/${lesson.id}/own-question`, { ...asked, ...change })
  return { lesson, plan, asked, ask }
}
const onShelf = async (title: string, archived = false) =>
  (
    await call<{ lessons: { id: string; title: string }[] }>(
      'GET',
      `/api/lessons?archived=${archived}&find=${encodeURIComponent(title)}`,
    )
  ).body.lessons.map(({ id }) => id)

it('a group’s own question is a part of the lesson: one code, one row on the shelf, the group nowhere else', async () => {
  const { lesson, plan, asked } = await asking()
  const join = async () => (await call<JoinView>('GET', `/api/stations?code=${encodeURIComponent(lesson.code)}`)).body.together!
  expect(await join()).toMatchObject({ oneLesson: true, lessons: [{ id: lesson.id }] })
  const waits = await joinStation(lesson.code, plan.groups.find(({ name }) => name === 'Cedar')!.id)
  const own = (await call<{ lesson: string }>('POST', '/api/stations/own-question', { code: lesson.code, ...asked })).body.lesson
  expect((await join()).lessons.map(({ id, groups }) => [id === own, groups.includes('Cedar')])).toEqual([
    [false, false],
    [true, true],
  ])
  const home = await open(lesson.id)
  expect([home.partOf?.id, named(home.lesson).includes('Cedar')]).toEqual([lesson.id, false])
  const part = await open(own)
  expect([part.partOf?.id, named(part.lesson), part.lesson.plan.conditions.map(({ label }) => label)]).toEqual([
    lesson.id,
    ['Cedar'],
    ['1 cm', '4 cm'],
  ])
  expect(await onShelf(plan.title)).toEqual([lesson.id])
  // The station that waited in the lesson went along, and a new one comes straight there.
  const there = (headers: Record<string, string>) => call<{ plan: Plan; code: string }>('GET', '/api/station', undefined, headers)
  expect((await there(waits)).body.code).toBe(part.lesson.code)
  const body = { code: lesson.code, lesson: own, name: 'Cedar' }
  const { token } = (await call<{ token: string }>('POST', '/api/stations', body)).body
  expect((await there({ authorization: `Bearer ${token}` })).body.plan.changed).toBe(part.lesson.plan.changed)
  const board = (await call<BoardView>('GET', `/api/lessons/${lesson.id}/board?record=true`)).body
  const all = (await call<WholeTogether>('GET', `/api/together/${board.whole}`)).body
  expect([all.code, all.lessons.map(({ id }) => id)]).toEqual([lesson.code, [lesson.id, own]])
})

it('another question takes the place of one that nobody began, and leaves what was written', async () => {
  const { lesson, ask } = await asking()
  const first = (await ask()).body.id
  const second = (await ask({ conditions: ['1 cm', '6 cm'] })).body.id
  expect(second).toBe(first)
  const { plan } = (await open(second)).lesson
  expect(plan.conditions.map(({ label }) => label)).toEqual(['1 cm', '6 cm'])
  const readings = [reading(plan)]
  expect((await call('POST', `/api/lessons/${second}/readings`, { readings })).status).toBe(200)
  const third = (await ask({ conditions: ['2 cm', '8 cm'] })).body.id
  expect(third).not.toBe(second)
  expect((await open(second)).record.readings).toHaveLength(1)
  // Two groups that ask the same are together in it, and one that asks what the class asks stays where it is.
  expect((await ask({ name: 'Elm', conditions: ['8 cm', '2 cm'] })).body.id).toBe(third)
  expect(named((await open(third)).lesson)).toEqual(['Cedar', 'Elm'])
  expect((await open(lesson.id)).lesson.plan.groups).toHaveLength(5)
})

it('the lesson is put away and taken out with its questions, and all groups that ask at once ask in one', async () => {
  const { lesson, plan, ask } = await asking()
  const asked = await Promise.all(plan.groups.map(({ name }, place) => ask({ name, conditions: ['1 cm', `${place + 2} cm`] })))
  expect(asked.map(({ status }) => status)).toEqual(plan.groups.map(() => 200))
  const home = await open(lesson.id)
  expect(home.lesson.plan.groups).toEqual([])
  const all = (await call<WholeTogether>('GET', `/api/together/${home.lesson.together}`)).body
  expect(all.lessons).toHaveLength(plan.groups.length + 1)
  const own = asked[0]!.body.id
  // A copy begins with the whole class, and the file brings the questions along.
  const copy = (await call<{ id: string }>('POST', `/api/lessons/${lesson.id}/duplicate`, {})).body.id
  expect(named((await open(copy)).lesson).sort()).toEqual(named({ plan }).sort())
  const file = (await call('GET', `/api/together/${home.lesson.together}/file`)).body
  const opened = (await call<{ id?: string; together?: string }>('POST', '/api/lessons/open', { text: JSON.stringify(file) })).body
  const again = (await call<WholeTogether>('GET', `/api/together/${opened.together}`)).body
  expect([again.together.oneLesson, again.lessons.length]).toEqual([true, all.lessons.length])
  expect((await open(again.lessons[1]!.id)).partOf?.id).toBe(again.lessons[0]!.id)
  for (const one of [again.lessons[0]!.id, copy]) await call('PUT', `/api/lessons/${one}/archived`, { archived: true })
  for (const archived of [true, false]) {
    expect((await call('PUT', `/api/lessons/${lesson.id}/archived`, { archived })).status).toBe(200)
    expect((await open(own)).lesson.archived).toBe(archived)
    expect(await onShelf(plan.title, archived)).toContain(lesson.id)
    expect(await onShelf(plan.title, archived)).not.toContain(own)
  }
})

it('is refused where the groups do not ask, and where the question is not whole', async () => {
  const { ask } = await asking('teacher')
  expect(await ask()).toMatchObject({ status: 409, body: { code: 'asks-no-own-questions' } })
  const { ask: again } = await asking()
  expect(await again({ conditions: ['1 cm'] })).toMatchObject({ status: 409, body: { code: 'own-question-open' } })
  expect(await again({ name: 'Nobody' })).toMatchObject({ status: 404, body: { code: 'unknown-group' } })
})
