import { randomUUID } from 'node:crypto'
import { expect, inject, it } from 'vitest'
import type { InvestigationInside, Investigations } from '../../schemas/contract'
import { LIBRARY_FILES } from '../../schemas/investigations'
import { clientFor, reading } from './client'

const { call, newLesson, open } = clientFor(inject('base'))
const library = async () => (await call<Investigations>('GET', '/api/investigations')).body.investigations

it('the library shows every investigation, and what is in each', async () => {
  const shipped = (await library()).filter(({ own }) => !own)
  expect(shipped.map(({ id }) => id)).toEqual(Object.keys(LIBRARY_FILES))
  const { body } = await call<InvestigationInside>('GET', '/api/investigations/froth-tower')
  expect(body.card.question).toContain('the height of the froth')
  expect(body.teaching.goingOn).toHaveLength(5)
  expect((await call('GET', '/api/investigations/no-such-thing')).status).toBe(404)
  expect(await call('DELETE', '/api/investigations/froth-tower')).toMatchObject({
    status: 409,
    body: { code: 'investigation-ships' },
  })
})

it('a lesson is kept to begin from without its class and record, goes out as a file, comes in elsewhere, and is taken away', async () => {
  const { lesson } = await newLesson('quiet-box')
  const plan = { ...lesson.plan, title: 'Quiet box of ours', notes: 'only for me', repeats: 4, className: 'Puffin' }
  await call('PUT', `/api/lessons/${lesson.id}/plan`, { plan, revision: lesson.revision })
  await call('POST', `/api/lessons/${lesson.id}/readings`, {
    readings: [reading(plan, { unit: 'cm', value: 300, entered: '300' })],
  })
  const card = { summary: 'Ours.', topic: 'light-and-sound', ages: ['9-11'] }
  const { body: kept } = await call<{ id: string }>('POST', `/api/lessons/${lesson.id}/keep`, card)
  expect((await call('POST', `/api/lessons/${lesson.id}/keep`, { ...card, ages: [] })).status).toBe(400)
  expect((await call('POST', `/api/lessons/${randomUUID()}/keep`, card)).status).toBe(404)
  expect((await library())[0]).toMatchObject({ id: kept.id, own: true, title: 'Quiet box of ours', drawing: 'quiet-box' })

  const file = (await call<object>('GET', `/api/investigations/${kept.id}/file`)).body
  const text = JSON.stringify(file)
  expect(text).not.toMatch(/Puffin|only for me|300/)
  const { body: again } = await call<{ id: string; startingPoint: boolean }>('POST', '/api/lessons/open', { text })
  expect(again.startingPoint).toBe(true)
  const begun = await newLesson(again.id)
  expect(begun.lesson.plan).toMatchObject({ title: 'Quiet box of ours', repeats: 4, investigation: 'quiet-box', notes: '' })
  expect(begun.record.readings).toEqual([])

  for (const id of [kept.id, again.id]) expect((await call('DELETE', `/api/investigations/${id}`)).status).toBe(200)
  expect((await library()).some(({ own }) => own)).toBe(false)
  expect((await open(begun.lesson.id)).lesson.plan.repeats).toBe(4)
})

it('where each child has its own record, a lesson begins with one for each, and nobody guesses how it is opened', async () => {
  const [first, second] = [(await newLesson('step-pulse')).lesson.plan, (await newLesson('step-pulse')).lesson.plan]
  expect(first.each).toBe('child')
  expect(first.groups).toHaveLength(first.children)
  expect(new Set(first.groups.map(({ name }) => name)).size).toBe(first.children)
  const keys = (plan: typeof first) => plan.groups.map(({ key }) => key)
  expect(keys(first).every((key) => key.length === 4)).toBe(true)
  expect(keys(first).filter((key) => keys(second).includes(key)).length).toBeLessThan(3)
})

it('what ships is a file like any other; a damaged or newer one says where and changes nothing', async () => {
  const before = (await library()).length
  const whole = LIBRARY_FILES['syrup-race'] as { plan: object }
  const said = async (file: object) =>
    (await call<{ code: string; field?: string }>('POST', '/api/lessons/open', { text: JSON.stringify(file) })).body
  expect(await said({ ...whole, plan: { ...whole.plan, repeats: 0 } })).toMatchObject({
    code: 'file-broken',
    field: 'plan.repeats',
  })
  expect(await said({ ...whole, plan: { ...whole.plan, measures: 'none' } })).toMatchObject({ field: 'plan.measures' })
  expect(await said({ ...whole, plan: { ...whole.plan, className: 'Puffin' } })).toMatchObject({ field: 'plan.className' })
  expect(await said({ ...whole, teaching: null })).toMatchObject({ code: 'file-broken', field: 'teaching' })
  expect(await said({ ...whole, schemaVersion: 999 })).toMatchObject({ code: 'file-newer' })
  expect(await said({ ...whole, topic: 'weather' })).toMatchObject({ field: 'topic' })
  expect(await library()).toHaveLength(before)
  const { body } = await call<{ id: string }>('POST', '/api/lessons/open', { text: JSON.stringify(whole) })
  expect((await newLesson(body.id)).lesson.plan.title).toBe('Syrup race')
  await call('DELETE', `/api/investigations/${body.id}`)
})

it('a lesson begins with what the cupboard has: a substitute that is there, too few things go round', async () => {
  const thing = (name: string, stock: number) => ({
    id: randomUUID(),
    name,
    unit: 'pieces',
    stock,
    place: '',
    minimum: null,
    pack: null,
    price: null,
  })
  const things = [thing('Alarm clock that rings', 9), thing('ticking alarm clock', 8), thing('Towel', 30)]
  for (const one of things) await call('PUT', '/api/cupboard', one)
  const { body } = await call<{ id: string; changed: string }>('POST', '/api/lessons', {
    investigation: 'quiet-box',
    className: 'Wren',
    children: 24,
    withWhatIsThere: true,
  })
  expect(body.changed).toMatch(/^Changed to what the cupboard has\. Kitchen timer that ticks: Take ticking alarm clock\./)
  const { plan } = (await open(body.id)).lesson
  expect(plan.materials.find(({ id }) => id === 'timers')).toMatchObject({ name: 'ticking alarm clock', thing: things[1]!.id })
})
