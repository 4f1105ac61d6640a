import { randomUUID } from 'node:crypto'
import { expect, inject, it } from 'vitest'
import type { LessonRecord, Plan } from '../../core/lesson'
import type { JoinView, StationView } from '../../schemas/contract'
import type { WholeTogether } from '../../schemas/togetherContract'
import { clientFor, prediction, reading } from './client'

const { call, newLesson, open } = clientFor(inject('base'))

const made = async (...investigations: string[]) => {
  const lessons = []
  for (const one of investigations) lessons.push((await newLesson(one)).lesson)
  const { body } = await call<{ id: string }>('POST', '/api/together', { lessons: lessons.map(({ id }) => id) })
  const view = (await call<WholeTogether>('GET', `/api/together/${body.id}`)).body
  return { id: body.id, lessons, view }
}

it('joining and splitting lessons keeps every row, and each keeps its own code', async () => {
  const { id, lessons } = await made('soak-up-strips', 'bounce-back')
  const [first] = lessons
  const { plan } = first!
  const rows = plan.groups.slice(0, 3).map(({ id: group }) => reading(plan, { group }))
  await call('POST', `/api/lessons/${first!.id}/predictions`, prediction(plan))
  expect((await call('POST', `/api/lessons/${first!.id}/readings`, { readings: rows })).status).toBe(200)
  const before = await open(first!.id)
  expect((await call('PUT', `/api/together/${id}/lessons`, { lessons: [lessons[1]!.id] })).status).toBe(200)
  expect((await call('PUT', `/api/together/${id}/lessons`, { lessons: lessons.map((one) => one.id) })).status).toBe(200)
  expect((await call('DELETE', `/api/together/${id}`)).status).toBe(200)
  const after = await open(first!.id)
  expect(after.record).toEqual(before.record)
  expect(after.lesson.plan).toEqual(before.lesson.plan)
  expect(after.lesson).toMatchObject({ code: first!.code, together: null })
  expect((await call('GET', `/api/together/${id}`)).status).toBe(404)
})

it('one code opens all of them: a group by its name in the lesson that it chooses, and nobody else’s', async () => {
  const { id, lessons, view } = await made('soak-up-strips', 'bounce-back')
  const { body: join } = await call<JoinView>('GET', `/api/stations?code=${encodeURIComponent(view.code)}`)
  expect(join.together!.lessons.map(({ id: lesson }) => lesson)).toEqual(lessons.map((one) => one.id))
  expect(join.together!.heap).toBeNull()
  const asked = { code: view.code, lesson: lessons[1]!.id, name: 'alder ' }
  const { body } = await call<{ token: string }>('POST', '/api/stations', asked)
  const station = (await call<{ plan: Plan }>('GET', '/api/station', undefined, { authorization: `Bearer ${body.token}` })).body
  expect(station.plan.title).toBe(lessons[1]!.plan.title)

  const takes = (lesson: string, takesPart: boolean) =>
    call('PUT', `/api/together/${id}/groups`, { lesson, name: 'Birch', takesPart })
  expect((await takes(lessons[1]!.id, false)).status).toBe(200)
  expect((await call('POST', '/api/stations', { ...asked, name: 'Birch' })).status).toBe(404)
  await call('PUT', `/api/together/${id}`, { way: 'choose' })
  expect((await call('POST', '/api/stations', { ...asked, name: 'Birch' })).status).toBe(200)
  const { plan } = (await open(lessons[1]!.id)).lesson
  const birch = plan.groups.find(({ name }) => name === 'Birch')!
  expect(
    (await call('POST', `/api/lessons/${lessons[1]!.id}/readings`, { readings: [reading(plan, { group: birch.id })] })).status,
  ).toBe(200)
  expect(await takes(lessons[1]!.id, false)).toMatchObject({ status: 409, body: { code: 'group-in-use' } })
})

it('a group’s own question is a lesson among them, or the one in which the same is asked already', async () => {
  const { id, view } = await made('soak-up-strips', 'bounce-back')
  const measure = view.lessons[0]!.plan.measures[0]!.name
  const asked = { code: view.code, name: 'Cedar', change: 'the width of the strip', measure, conditions: ['1 cm', '4 cm'] }
  const ask = (change: object = {}) => call<{ lesson: string }>('POST', '/api/stations/own-question', { ...asked, ...change })
  expect((await ask()).status).toBe(404)
  await call('PUT', `/api/together/${id}`, { ownQuestions: true })
  expect(await ask({ conditions: ['1 cm'] })).toMatchObject({ status: 409, body: { code: 'own-question-open' } })
  const first = (await ask()).body.lesson
  const second = (await ask({ name: 'Elm', conditions: ['4 cm', '1 cm'] })).body.lesson
  expect(second).toBe(first)
  const { lesson } = await open(first)
  expect(lesson.together).toBe(id)
  expect(lesson.plan.groups.map(({ name }) => name)).toEqual(['Cedar', 'Elm'])
})

it('all of them go out as one file and come back with every row; a damaged one changes nothing', async () => {
  const { id, lessons } = await made('soak-up-strips', 'bounce-back')
  await call('PUT', `/api/together/${id}`, { way: 'circuit', sets: { [lessons[0]!.id]: 3 }, conclusion: 'Both are clear.' })
  const { plan } = lessons[0]!
  await call('POST', `/api/lessons/${lessons[0]!.id}/readings`, { readings: [reading(plan)] })
  const file = JSON.stringify((await call<object>('GET', `/api/together/${id}/file`)).body)
  const opened = (await call<{ together: string }>('POST', '/api/lessons/open', { text: file })).body
  const { body: copy } = await call<WholeTogether>('GET', `/api/together/${opened.together}`)
  expect(copy.lessons.map((one) => one.plan)).toEqual(lessons.map((one) => one.plan))
  expect(copy.together).toMatchObject({ way: 'circuit', conclusion: 'Both are clear.', sets: { [copy.lessons[0]!.id]: 3 } })
  const values = ({ readings }: LessonRecord) => readings.map(({ value, group }) => [value, group])
  expect(values(copy.lessons[0]!.record)).toEqual(values((await open(lessons[0]!.id)).record))
  const damaged = file.replace('"circuit"', '"triangle"')
  expect(await call('POST', '/api/lessons/open', { text: damaged })).toMatchObject({ status: 400, body: { code: 'file-broken' } })
})

it('what comes from elsewhere is checked, and never a server’s fault', async () => {
  const { id, lessons } = await made('soak-up-strips', 'bounce-back')
  const bad: [string, string, unknown][] = [
    ['PUT', `/api/together/${id}`, { way: 'sideways' }],
    ['PUT', `/api/together/${id}`, { sets: { [lessons[0]!.id]: 99 } }],
    ['PUT', `/api/together/${id}/lessons`, { lessons: [randomUUID()] }],
    ['PUT', `/api/together/${id}/groups`, { lesson: randomUUID(), name: 'Alder', takesPart: true }],
    ['PUT', `/api/together/${id}/groups`, { lesson: lessons[0]!.id, name: 'Nobody', takesPart: true }],
    ['POST', '/api/together', { lessons: 'all' }],
    ['GET', `/api/together/${randomUUID()}`, undefined],
    ['POST', '/api/stations', { code: 'FERN 42', lesson: lessons[0]!.id }],
  ]
  for (const [method, path, body] of bad) {
    const { status } = await call(method, path, body)
    expect([path, status >= 400 && status < 500]).toEqual([path, true])
  }
})

it('a station in a circuit is told what comes next by the rota, and after the last one nothing', async () => {
  const { id, lessons, view } = await made('soak-up-strips', 'bounce-back')
  await call('PUT', `/api/together/${id}`, { way: 'circuit' })
  const nextAt = async (lesson: string) => {
    const { body } = await call<{ token: string }>('POST', '/api/stations', { code: view.code, lesson, name: 'Alder' })
    const station = await call<StationView>('GET', '/api/station', undefined, { authorization: `Bearer ${body.token}` })
    return station.body.together!.next
  }
  const [soak, bounce] = [await nextAt(lessons[0]!.id), await nextAt(lessons[1]!.id)]
  // Whichever the rota begins with leads to the other.
  expect([
    [lessons[1]!.plan.title, null],
    [null, lessons[0]!.plan.title],
  ]).toContainEqual([soak, bounce])
})

it('in a circuit a kit stands once and not with every group, and the cupboard says so', async () => {
  const { id, lessons } = await made('soak-up-strips', 'bounce-back')
  const thing = {
    id: randomUUID(),
    name: 'circuit ruler',
    unit: 'pieces',
    stock: 30,
    place: '',
    minimum: null,
    pack: null,
    price: null,
  }
  await call('PUT', '/api/cupboard', thing)
  const { lesson } = await open(lessons[0]!.id)
  const plan = structuredClone(lesson.plan)
  plan.date = '2027-02-03'
  plan.materials = [{ ...plan.materials.find(({ use }) => use === 'again')!, thing: thing.id, amount: '1', per: 'group' }]
  expect((await call('PUT', `/api/lessons/${lesson.id}/plan`, { plan, revision: lesson.revision })).status).toBe(200)
  const booked = async () => {
    const { body } = await call<{ bookings: { thing: string; amount: number }[] }>('GET', '/api/cupboard')
    return body.bookings.filter((one) => one.thing === thing.id).map(({ amount }) => amount)
  }
  expect(await booked()).toEqual([plan.groups.length])
  await call('PUT', `/api/together/${id}`, { way: 'circuit', sets: { [lesson.id]: 2 } })
  expect(await booked()).toEqual([2])
  await call('DELETE', `/api/together/${id}`)
  expect(await booked()).toEqual([plan.groups.length])
})

it('some groups get a lesson of their own and go back: no row is lost, changed or doubled, and their stations go along', async () => {
  const { id, lessons, view } = await made('soak-up-strips', 'bounce-back')
  const [{ id: lesson, plan }] = lessons as [(typeof lessons)[number]]
  const birch = plan.groups.find(({ name }) => name === 'Birch')!
  const rows = plan.groups.map(({ id: group }, at) => reading(plan, { group, value: 40 + at }))
  await call('POST', `/api/lessons/${lesson}/readings`, { readings: rows })
  await call('POST', `/api/lessons/${lesson}/readings`, {
    readings: [reading(plan, { group: birch.id, value: 99, supersedes: rows[1]!.id })],
  })
  await call('POST', `/api/lessons/${lesson}/predictions`, prediction(plan, { group: birch.id }))
  const before = (await open(lesson)).record
  const { body: joined } = await call<{ token: string }>('POST', '/api/stations', { code: view.code, lesson, name: 'Birch' })
  const station = { authorization: `Bearer ${joined.token}` }
  const path = `/api/together/${id}`
  expect((await call('POST', `${path}/split`, { lesson, groups: plan.groups.map(({ name }) => name) })).status).toBe(409)
  const { body: fresh } = await call<{ id: string }>('POST', `${path}/split`, { lesson, groups: ['Birch', 'Elm'] })
  const [stays, goes] = [await open(lesson), await open(fresh.id)]
  expect(goes.lesson.plan.groups.map(({ name }) => name)).toEqual(['Birch', 'Elm'])
  expect(stays.lesson.plan.groups).toHaveLength(plan.groups.length - 2)
  const sorted = ({ readings, predictions }: LessonRecord, other?: LessonRecord) =>
    [...readings, ...predictions, ...(other?.readings ?? []), ...(other?.predictions ?? [])].sort((a, b) =>
      a.id.localeCompare(b.id),
    )
  expect(sorted(stays.record, goes.record)).toEqual(sorted(before))
  expect(goes.record.readings).toHaveLength(3)
  // Whoever sits at the station goes on writing where its group is now.
  expect(
    (await call('POST', '/api/station/readings', { readings: [reading(plan, { group: birch.id, repeat: 2 })] }, station)).status,
  ).toBe(200)
  expect((await open(fresh.id)).record.readings).toHaveLength(4)

  expect((await call('POST', `${path}/join`, { from: fresh.id, into: lessons[1]!.id })).status).toBe(409)
  expect((await call('POST', `${path}/join`, { from: fresh.id, into: lesson })).status).toBe(200)
  const whole = await open(lesson)
  expect(whole.record.readings).toHaveLength(before.readings.length + 1)
  expect(sorted(before).every((row) => sorted(whole.record).some((other) => JSON.stringify(other) === JSON.stringify(row)))).toBe(
    true,
  )
  expect(whole.lesson.plan.groups.map(({ name }) => name).sort()).toEqual(plan.groups.map(({ name }) => name).sort())
  expect((await open(fresh.id)).lesson).toMatchObject({ archived: true, together: null })
})
