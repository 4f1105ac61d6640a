import { randomUUID } from 'node:crypto'
import { strFromU8, unzipSync } from 'fflate'
import ICAL from 'ical.js'
import { describe, expect, inject, it } from 'vitest'
import type { Calendar } from '../../core/clock'
import type { School, Thing } from '../../core/kit'
import { needsOf } from '../../core/kit'
import type { Plan } from '../../core/lesson'
import { clientFor, type WholeLesson } from './client'

const { call, newLesson, open } = clientFor(inject('base'))

interface Cupboard {
  things: Thing[]
  bookings: { thing: string; title: string; amount: number }[]
  moves: { thing: string; why: string; change: number; stock: number; title: string; broken: number }[]
}
const cupboard = async () => (await call<Cupboard>('GET', '/api/cupboard')).body
const named = async (name: string) => (await cupboard()).things.find((thing) => thing.name === name)

async function put(change: Partial<Thing> & { name: string }): Promise<Thing> {
  const thing = {
    id: randomUUID(),
    unit: 'pieces',
    stock: 9,
    place: 'drawer 2',
    minimum: 8,
    pack: 5,
    price: 18,
    ...change,
  } as Thing
  expect((await call('PUT', '/api/cupboard', thing)).status).toBe(200)
  return thing
}

async function lessonWith(change: (plan: Plan) => void): Promise<WholeLesson['lesson']> {
  const { lesson } = await newLesson()
  const plan = structuredClone(lesson.plan)
  change(plan)
  const answer = await call('PUT', `/api/lessons/${lesson.id}/plan`, { plan, revision: lesson.revision })
  expect(answer.status, JSON.stringify(answer.body)).toBe(200)
  return (await open(lesson.id)).lesson
}

it('what comes into the cupboard is counted for the lessons that name it, and that can be taken back', async () => {
  const lesson = await lessonWith((plan) => {
    plan.materials = [{ ...plan.materials[4]!, name: 'weather vanes', thing: null }]
  })
  const other = await lessonWith(() => undefined)
  const vane = await put({ name: 'Weather vane', stock: 3 })
  const reach = async (body: object) => (await call<{ reached: object[] }>('PUT', '/api/cupboard/lessons', body)).body.reached
  const thingOf = async () => (await open(lesson.id)).lesson.plan.materials[0]!.thing
  const reached = await reach({ things: [vane.id], back: null })
  expect(reached).toEqual([{ lesson: lesson.id, title: lesson.plan.title, materials: [lesson.plan.materials[0]!.id] }])
  expect(await thingOf()).toBe(vane.id)
  expect((await open(other.id)).lesson.revision).toBe(other.revision)
  expect(await reach({ things: [vane.id], back: reached })).toEqual([])
  expect(await thingOf()).toBeNull()
  expect((await call('PUT', '/api/cupboard/lessons', { things: ['x'], back: null })).status).toBe(400)
})

/** One thermometer for each of seven groups, taken from the cupboard. */
function takes(plan: Plan, thing: Thing, date: string): void {
  Object.assign(plan, { title: `Lesson of ${date}`, date })
  plan.materials = [{ ...plan.materials[4]!, name: thing.name, amount: '1', per: 'group', use: 'again', thing: thing.id, spare: 0 }]
}

async function needOf({ id, plan }: WholeLesson['lesson']) {
  const { body } = await call<{ school: School }>('GET', `/api/lessons/${id}/school`)
  return needsOf(plan, body.school)[0]!
}

describe('the cupboard', () => {
  it('gives the thermometers to the earlier of two lessons in one week, whichever was planned first', async () => {
    const thing = await put({ name: `Thermometer ${randomUUID()}` })
    const later = await lessonWith((plan) => takes(plan, thing, '2027-03-11'))
    expect((await needOf(later)).short).toBe(0)
    const earlier = await lessonWith((plan) => takes(plan, thing, '2027-03-09'))
    expect((await needOf(earlier)).short).toBe(0)
    const need = await needOf(later)
    expect(need).toMatchObject({ forClass: 7, short: 5, packs: { count: 1, leftOver: 0, cost: 18 } })
    expect(need.supply.taken.map(({ title, amount }) => [title, amount])).toEqual([['Lesson of 2027-03-09', 7]])
    const far = await lessonWith((plan) => takes(plan, thing, '2027-03-20'))
    expect((await needOf(far)).short).toBe(0)
  })

  it('counts back what broke, once however often it is counted, and remembers it', async () => {
    const thing = await put({ name: `Jug ${randomUUID()}` })
    const lesson = await lessonWith((plan) => takes(plan, thing, '2027-04-01'))
    const [material] = lesson.plan.materials
    const count = (back: number, broken: number) =>
      call('POST', `/api/lessons/${lesson.id}/count-back`, { rows: [{ material: material!.id, taken: 7, back, broken }] })
    expect((await count(4, 1)).body).toEqual({ counted: 1 })
    expect((await named(thing.name))!.stock).toBe(6)
    await count(6, 1)
    expect((await named(thing.name))!.stock).toBe(8)
    const { moves } = await cupboard()
    const counts = moves.filter((move) => move.thing === thing.id && move.why === 'counted-back')
    expect(counts.map(({ change, broken, title }) => [change, broken, title])).toEqual([
      [2, 1, 'Lesson of 2027-04-01'],
      [-3, 1, 'Lesson of 2027-04-01'],
    ])
  })

  it('refuses a second thing of the same name, and puts a thing that was taken out back with its history', async () => {
    const thing = await put({ name: `Funnel ${randomUUID()}` })
    const twin = await call('PUT', '/api/cupboard', { ...thing, id: randomUUID(), name: thing.name.toUpperCase() })
    expect(twin).toMatchObject({ status: 409, body: { code: 'name-taken', field: 'name' } })
    expect((await call('POST', `/api/cupboard/${thing.id}/out`)).status).toBe(200)
    expect(await named(thing.name)).toBeUndefined()
    await put(thing)
    const whys = (await cupboard()).moves.filter((move) => move.thing === thing.id).map(({ why }) => why)
    expect(whys).toContain('taken-out')
    expect(await named(thing.name)).toEqual(thing)
  })

  it('goes out as a table and comes in again unchanged; a changed table changes just what it says', async () => {
    const thing = await put({ name: `=Beaker, “tall”; ${randomUUID()}`, price: 2.5, minimum: null })
    const { body: table } = await call<string>('GET', '/api/cupboard/file')
    const before = (await cupboard()).things
    const again = await call('POST', '/api/cupboard/file', { text: table })
    expect(again).toMatchObject({ status: 200, body: { added: 0, changed: 0 } })
    expect((await cupboard()).things).toEqual(before)
    const more = `Stock;THING;unit\n12;"${thing.name}";\n"1,5";"Salt ${thing.id}";kg`
    expect((await call('POST', '/api/cupboard/file', { text: more })).body).toMatchObject({ added: 1, changed: 1 })
    expect(await named(thing.name)).toEqual({ ...thing, stock: 12 })
    expect(await named(`Salt ${thing.id}`)).toMatchObject({ stock: 1.5, unit: 'kg', place: '' })
  })

  it.each([
    ['name;count\nruler;3', 'csv-columns-missing', /thing, stock/],
    ['thing,stock\nruler,a few', 'csv-bad-number', /line 2.*“a few”/i],
    ['thing,stock,unit\nruler,3,feets', 'csv-unknown-unit', /“feets”/],
    ['thing,stock\nruler,3\nRuler,4', 'csv-name-twice', /line 3/i],
    ['thing,stock\n"ruler,3', 'csv-not-a-table', /./],
    ['thing,stock', 'csv-empty', /./],
  ])('a table with a mistake changes nothing and says where: %j', async (text, code, says) => {
    const before = await cupboard()
    const { status, body } = await call<{ code: string; message: string }>('POST', '/api/cupboard/file', { text })
    expect([status, body.code]).toEqual([400, code])
    expect(body.message).toMatch(says)
    expect(await cupboard()).toEqual(before)
  })
})

describe('calendar files', () => {
  const plain: Calendar = { terms: [], holidays: [], weekdays: [true, true, true, true, true, false, false] }

  /** Reads a calendar file strictly: the events in it, and how its lines are written. */
  async function events(id: string, what: string) {
    const { status, body, headers } = await call<string>('GET', `/api/lessons/${id}/calendar.ics?what=${what}`)
    expect([status, headers.get('content-type')]).toEqual([200, 'text/calendar; charset=utf-8'])
    expect(body.replace(/\r\n/g, '')).not.toMatch(/[\r\n]/)
    for (const line of body.split('\r\n')) expect(Buffer.byteLength(line), line).toBeLessThanOrEqual(75)
    ICAL.design.strict = true
    const calendar = new ICAL.Component(ICAL.parse(body) as unknown[])
    expect(calendar.getFirstPropertyValue('version')).toBe('2.0')
    const all = calendar.getAllSubcomponents('vevent').map((component) => new ICAL.Event(component))
    expect(new Set(all.map(({ uid }) => uid)).size).toBe(all.length)
    for (const event of all) {
      expect(event.component.getFirstPropertyValue('dtstamp')).toBeTruthy()
      expect(event.endDate.compare(event.startDate)).toBe(1)
      expect(event.startDate.zone).toBe(ICAL.Timezone.localTimezone)
    }
    return all.map(({ startDate, summary }) => [startDate.toString().slice(0, 16), summary])
  }

  it('list what has to be done before a Monday lesson, on the school days before it', async () => {
    const className = `Puffin ${randomUUID()}`
    await call('PUT', '/api/calendar', { className, calendar: plain })
    const lesson = await lessonWith((plan) => {
      Object.assign(plan, {
        className,
        date: '2027-03-08',
        title: 'Ice, “très froid”; and a name that is long enough to be folded twice',
      })
      plan.clock.start = '09:00'
      plan.materials = [
        {
          ...plan.materials[0]!,
          preparation: { kind: 'freeze', minutes: 10, secondsEach: 0, hours: 20, words: '' },
          condition: null,
        },
      ]
    })
    const all = await events(lesson.id, 'getting-ready')
    // Twenty hours before Monday 09:00 is a Sunday: on Friday evening instead.
    expect(all[0]).toEqual(['2027-03-05T20:50', expect.stringMatching(/^Freeze/)])
    expect(all.at(-1)).toEqual(['2027-03-08T09:00', expect.stringContaining('“très froid”; and a name that is long')])
    expect((await call('GET', `/api/lessons/${lesson.id}/calendar.ics?what=everything`)).status).toBe(400)
  })

  it('list the reading days, those without school moved to the next school day', async () => {
    const className = `Puffin ${randomUUID()}`
    const holidays = [{ name: 'Half term', from: '2027-03-10', to: '2027-03-11' }]
    await call('PUT', '/api/calendar', { className, calendar: { ...plain, holidays } })
    const { lesson } = await newLesson('sprout-watch')
    const plan: Plan = { ...lesson.plan, className, date: '2027-03-08' }
    Object.assign(plan.watch, { unit: 'day', times: [0, 2, 4, 5] })
    await call('PUT', `/api/lessons/${lesson.id}/plan`, { plan, revision: lesson.revision })
    const all = await events(lesson.id, 'reading-days')
    expect(all.map(([at]) => at!.slice(0, 10))).toEqual(['2027-03-08', '2027-03-12', '2027-03-12', '2027-03-15'])
  })

  it('wait for the day of the lesson', async () => {
    const { lesson } = await newLesson()
    const answer = await call('GET', `/api/lessons/${lesson.id}/calendar.ics?what=getting-ready`)
    expect(answer).toMatchObject({ status: 409, body: { code: 'no-date' } })
  })
})

it('a school that writes American gets its lessons so, and its backup says it', async () => {
  expect((await call('PUT', '/api/cupboard/customs', { english: 'cockney', currency: 'USD' })).body).toMatchObject({
    field: 'english',
  })
  try {
    expect((await call('PUT', '/api/cupboard/customs', { english: 'american', currency: 'USD' })).status).toBe(200)
    expect((await newLesson()).lesson.plan.conditions[0]!.label).toBe('paper towel')
    const school = (await call<{ school: School }>('GET', `/api/lessons/${(await newLesson(null)).lesson.id}/school`)).body.school
    expect(school.customs).toEqual({ english: 'american', currency: 'USD' })
    const backup = unzipSync(new Uint8Array(await (await fetch(`${inject('base')}/api/library`)).arrayBuffer()))
    expect(JSON.parse(strFromU8(backup['library.json']!))).toMatchObject({ customs: school.customs })
  } finally {
    await call('PUT', '/api/cupboard/customs', { english: 'british', currency: 'none' })
  }
  expect((await newLesson()).lesson.plan.conditions[0]!.label).toBe('kitchen roll')
})
