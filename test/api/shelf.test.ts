import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { faceOf, judgedOf, waitsFor } from '../../core/lists'
import { matterWords } from '../../core/wording'
import type { TermLesson } from '../../core/wording/reports'
import { dayAfter, dayOf } from '../../core/clock'
import type { School, Thing } from '../../core/kit'
import type { Plan } from '../../core/lesson'
import type { ShelfEntry, ShelfPage } from '../../schemas/contract'
import { startApplication, temporaryFolder, type Application } from '../application'
import { clientFor, reading } from './client'

// A school of its own, so that its shelf holds what is put on it here.
const { folder, remove } = temporaryFolder()
let application: Application
let client: ReturnType<typeof clientFor>
beforeAll(async () => {
  application = await startApplication({ data: folder })
  client = clientFor(application.base)
})
afterAll(async () => {
  await application.stop()
  remove()
})

const shelf = async (query = '') => (await client.call<ShelfPage>('GET', `/api/lessons?${query}`)).body
const entry = async (id: string) => (await shelf('most=1000')).lessons.find((one) => one.id === id)!
const schoolOf = async (id: string) => (await client.call<{ school: School }>('GET', `/api/lessons/${id}/school`)).body.school

async function lessonWith(change: (plan: Plan) => Partial<Plan>) {
  const { lesson } = await client.newLesson()
  const saved = await client.call('PUT', `/api/lessons/${lesson.id}/plan`, {
    plan: { ...lesson.plan, ...change(lesson.plan) },
    revision: lesson.revision,
  })
  expect(saved.status).toBe(200)
  return (await client.open(lesson.id)).lesson
}

const waits = ({ matters }: ShelfEntry) => matters.more + (matters.first ? 1 : 0)

/** Waits until something that is renewed beside the server says so. */
async function until(check: () => Promise<boolean>): Promise<void> {
  for (let tries = 0; tries < 100 && !(await check()); tries += 1) await new Promise((next) => setTimeout(next, 100))
  expect(await check()).toBe(true)
}

describe('the shelf', () => {
  it('comes a page at a time, by day, without doubling or losing any', async () => {
    const days = ['2096-05-04', '', '2096-03-02', '2096-04-13', '']
    for (const [place, date] of days.entries()) await lessonWith(() => ({ date, title: `Page ${place}`, className: 'Wren' }))
    const pages = [await shelf('find=page&most=2'), await shelf('find=page&most=2&from=2'), await shelf('find=page&most=2&from=4')]
    expect(pages.map(({ all }) => all)).toEqual([5, 5, 5])
    // Those without a day come last, the newest of them first.
    expect(pages.flatMap(({ lessons }) => lessons.map(({ title }) => title))).toEqual([
      'Page 2',
      'Page 3',
      'Page 0',
      'Page 4',
      'Page 1',
    ])
  })

  it('puts this week first, then what comes, what has no day, and the past with the latest first; and one class alone', async () => {
    const today = dayOf(new Date())
    const days = { now: today, next: dayAfter(today, 8), long: dayAfter(today, -30), last: dayAfter(today, -9), none: '' }
    for (const [title, date] of Object.entries(days)) await lessonWith(() => ({ date, title, className: 'Heron' }))
    const { lessons, classes } = await shelf('className=Heron')
    expect(lessons.map(({ title, part }) => [title, part])).toEqual([
      ['now', 'this-week'],
      ['next', 'coming'],
      ['none', 'no-day'],
      ['last', 'earlier'],
      ['long', 'earlier'],
    ])
    expect(classes).toContain('Heron')
  })

  it('is found through by title, question and class, whatever the case, and words that mean something to a database are words', async () => {
    const odd = await lessonWith(() => ({ title: '100% wet_or\\dry?', className: 'Éclair' }))
    for (const words of ['100%25', 'WET_OR', '%5Cdry', '%C3%A9clair', 'how%20does%20the%20kind%20of%20paper'])
      expect((await shelf(`find=${words}&most=1000`)).lessons.map(({ id }) => id)).toContain(odd.id)
    expect((await shelf('find=%25%25%25')).all).toBe(0)
    expect((await shelf('find=wetXor')).all).toBe(0)
  })

  it('tells what was put away from what stands on it, and counts it', async () => {
    const lesson = await lessonWith(() => ({ title: 'Away' }))
    const before = (await shelf()).putAway
    await client.call('PUT', `/api/lessons/${lesson.id}/archived`, { archived: true })
    expect((await shelf('archived=false')).lessons.map(({ id }) => id)).not.toContain(lesson.id)
    // What is looked for is found wherever it is, and says so.
    expect((await shelf('archived=false&find=away')).lessons).toMatchObject([{ id: lesson.id, archived: true }])
    expect((await shelf('archived=true&find=away')).lessons.map(({ id }) => id)).toEqual([lesson.id])
    expect((await shelf()).putAway).toBe(before + 1)
  })

  it('refuses a page that is too large or lies nowhere', async () => {
    for (const query of ['most=0', 'most=5000', 'from=-1', 'archived=perhaps', `find=${'x'.repeat(300)}`])
      expect((await client.call('GET', `/api/lessons?${query}`)).body).toMatchObject({ code: 'invalid' })
  })
})

describe('what lists say of a lesson', () => {
  it('is what the computation says of it, at once after plan and record changed', async () => {
    const lesson = await lessonWith(() => ({ title: 'Judged', date: '2026-03-12' }))
    const says = async () => {
      const { lesson: now, record } = await client.open(lesson.id)
      const [face, judged] = [faceOf(now.plan), judgedOf(now.plan, record, await schoolOf(lesson.id))]
      const { first, more } = waitsFor(judged, face, false)
      return { ...face, ...judged, matters: { first: first && matterWords(first, now.plan), more } }
    }
    const first = await entry(lesson.id)
    const { level, matters, title } = first
    expect(await says()).toMatchObject({ level, matters, title })
    expect(first.picture).toEqual([])

    const rows = lesson.plan.groups.flatMap(({ id: group }) =>
      lesson.plan.conditions.flatMap(({ id: condition }, kind) =>
        [1, 2, 3].map((repeat) =>
          reading(lesson.plan, { group, condition, repeat, value: 60 - 10 * kind, entered: String(60 - 10 * kind) }),
        ),
      ),
    )
    await client.call('POST', `/api/lessons/${lesson.id}/readings`, { readings: rows })
    const tested = await entry(lesson.id)
    expect(tested.level).toBeGreaterThan(first.level)
    const told = await says()
    expect([tested.level, tested.matters]).toEqual([told.level, told.matters])
    expect(tested.matters.first).toEqual({ text: 'Write a conclusion', stop: 'agree', target: 'conclusion' })
    expect(tested.picture.map(({ letter, share }) => [letter, share.toFixed(2)])).toEqual([
      ['A', '1.00'],
      ['B', '0.83'],
      ['C', '0.67'],
      ['D', '0.50'],
    ])
    const term = (await client.call<{ lessons: TermLesson[] }>('GET', '/api/term')).body.lessons.find(({ id }) => id === lesson.id)!
    expect(term.skills).toEqual(told.skills)
    expect(term.grade).toBe('Clear')
  })

  it('follows the cupboard and other lessons’ bookings: a thing that is taken elsewhere is missing here', async () => {
    const thing: Thing = {
      id: randomUUID(),
      name: 'Eye dropper',
      unit: 'pieces',
      stock: 9,
      place: '',
      minimum: null,
      pack: null,
      price: null,
    }
    expect((await client.call('PUT', '/api/cupboard', thing)).status).toBe(200)
    const taking = (date: string) => (plan: Plan) => ({
      title: `Dropper ${date}`,
      date,
      materials: [
        {
          ...plan.materials[0]!,
          name: 'eye dropper',
          amount: '1',
          per: 'group' as const,
          use: 'again' as const,
          spare: 0,
          condition: null,
          thing: thing.id,
        },
      ],
    })
    const later = await lessonWith(taking('2026-06-04'))
    const alone = await entry(later.id)
    const earlier = await lessonWith(taking('2026-06-03'))
    await until(async () => waits(await entry(later.id)) === waits(alone) + 1)
    expect(waits(await entry(earlier.id))).toBe(waits(alone))

    // Bought more, everybody has theirs again.
    await client.call('PUT', '/api/cupboard', { ...thing, stock: 20 })
    await until(async () => waits(await entry(later.id)) === waits(alone))
    // And with the earlier lesson put away, few are enough.
    await client.call('PUT', '/api/cupboard', thing)
    await until(async () => waits(await entry(later.id)) === waits(alone) + 1)
    await client.call('PUT', `/api/lessons/${earlier.id}/archived`, { archived: true })
    await until(async () => waits(await entry(later.id)) === waits(alone))
  })

  it('is still there after a restart', async () => {
    const { lessons: before } = await shelf('most=1000')
    await application.stop()
    application = await startApplication({ data: folder })
    client = clientFor(application.base)
    const { lessons, renewing } = await shelf('most=1000')
    expect([lessons, renewing]).toEqual([before, 0])
  })
})
