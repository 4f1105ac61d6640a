import { testOf } from '../core/test'
import type { LessonRecord, Plan } from '../core/lesson'
import type { JoinView } from '../schemas/contract'
import { clientFor, reading, type Answer, type WholeLesson } from './api/client'

/** A desk at one process; two of them may be at one process or at two. */
export interface Desk {
  call<T = unknown>(method: string, path: string, body?: unknown, headers?: Record<string, string>): Promise<Answer<T>>
}

/** A desk whose calls carry its cookie, where there is one; what a station sends carries its token instead. */
export function deskAt(base: string, cookie: Record<string, string> = {}): Desk {
  const { call } = clientFor(base)
  return { call: (method, path, body, headers) => call(method, path, body, headers ?? cookie) }
}

export const sleep = (milliseconds: number) => new Promise((next) => setTimeout(next, milliseconds))

const openAt = async ({ call }: Desk, id: string) => (await call<WholeLesson>('GET', `/api/lessons/${id}`)).body

export async function newLessonAt({ call }: Desk, investigation = 'soak-up-strips'): Promise<WholeLesson> {
  const { body } = await call<{ id: string }>('POST', '/api/lessons', { investigation })
  return openAt({ call }, body.id)
}

/** What a plan lacks after somebody took a place away, by what was taken. */
export const TAKEN_AWAY: Record<string, { from?: string; plan(plan: Plan): Plan; place(plan: Plan): object }> = {
  group: {
    plan: (plan) => ({ ...plan, groups: plan.groups.slice(0, -1) }),
    place: (plan) => ({ group: plan.groups.at(-1)!.id }),
  },
  condition: {
    plan: (plan) => ({ ...plan, conditions: plan.conditions.slice(0, -1) }),
    place: (plan) => ({ condition: plan.conditions.at(-1)!.id }),
  },
  moment: {
    from: 'froth-tower',
    plan: (plan) => ({ ...plan, watch: { ...plan.watch, times: plan.watch.times.slice(0, -1) } }),
    place: (plan) => ({ moment: `t${Math.max(...plan.watch.times)}` }),
  },
}

export interface Raced {
  /** Acknowledged rows that are not there. */
  lost: number
  /** Rows whose place the plan has not. */
  homeless: number
  /** Times that the plan was saved, and that rows were taken. */
  saved: number
  taken: number
  /** Anything but 200 and 409. */
  broken: number[]
}

/** A plan without a place is saved while rows of that place come in, so many milliseconds later: one of the two is told. */
export async function racePlanAgainstRows(one: Desk, other: Desk, what: keyof typeof TAKEN_AWAY, after: number): Promise<Raced> {
  const { from, plan: without, place } = TAKEN_AWAY[what]!
  const { lesson } = await newLessonAt(one, from)
  const { plan } = lesson
  const { unit } = testOf(plan)
  const rows = Array.from({ length: 6 }, () => reading(plan, { unit: unit as 'mm', moment: '', ...place(plan) }))
  const saving = one.call('PUT', `/api/lessons/${lesson.id}/plan`, { plan: without(plan), revision: lesson.revision })
  await sleep(after)
  const writing = rows.map((row) => other.call('POST', `/api/lessons/${lesson.id}/readings`, { readings: [row] }))
  const [saved, ...written] = (await Promise.all([saving, ...writing])).map(({ status }) => status) as [number, ...number[]]
  const now = await openAt(other, lesson.id)
  const stored = new Map(now.record.readings.map((row) => [row.id, row]))
  const taken = rows.filter((_, place) => written[place] === 200)
  return {
    lost: taken.filter(({ id }) => !stored.has(id)).length,
    homeless: saved === 200 ? stored.size : 0,
    saved: saved === 200 ? 1 : 0,
    taken: taken.length,
    broken: [saved, ...written].filter((status) => ![200, 409].includes(status)),
  }
}

export const sumOf = (all: Raced[]): Raced => ({
  lost: all.reduce((sum, { lost }) => sum + lost, 0),
  homeless: all.reduce((sum, { homeless }) => sum + homeless, 0),
  saved: all.reduce((sum, { saved }) => sum + saved, 0),
  taken: all.reduce((sum, { taken }) => sum + taken, 0),
  broken: all.flatMap(({ broken }) => broken),
})

interface Running {
  id: string
  code: string
  lessons: { id: string; plan: Plan; record: LessonRecord }[]
}
export const runningAt = async ({ call }: Desk, id: string) => (await call<Running>('GET', `/api/together/${id}`)).body

export async function runTogether(desk: Desk, ...investigations: string[]): Promise<Running> {
  const ids: string[] = []
  for (const one of investigations) ids.push((await newLessonAt(desk, one)).lesson.id)
  const { body } = await desk.call<{ id: string }>('POST', '/api/together', { lessons: ids })
  return runningAt(desk, body.id)
}

/**
 * Groups of a lesson are split off and joined again while all of them write. Answers what became of the rows that stations were told are stored: every one stands
 * once, in the lesson that its group is in.
 */
export async function raceSplitsAgainstRows(
  one: Desk,
  other: Desk,
  times: number,
): Promise<Omit<Raced, 'saved'> & { doubled: number; splits: number }> {
  const { id, code, lessons } = await runTogether(one, 'soak-up-strips', 'bounce-back')
  const [first] = lessons
  const { plan } = first!
  const tokens: Record<string, string>[] = []
  for (const { name } of plan.groups) {
    const { body } = await one.call<{ token: string }>('POST', '/api/stations', { code, lesson: first!.id, name })
    tokens.push({ authorization: `Bearer ${body.token}` })
  }
  let over = false
  let splits = 0
  const broken: number[] = []
  const acknowledged: string[] = []
  const write = async (place: number) => {
    const desks = [one, other]
    for (let number = 0; !over; number += 1) {
      const row = reading(plan, { group: plan.groups[place]!.id, repeat: 1 + (number % plan.repeats), value: number })
      const { status } = await desks[(place + number) % 2]!.call(
        'POST',
        '/api/station/readings',
        { readings: [row] },
        tokens[place],
      )
      if (status === 200) acknowledged.push(row.id)
      else broken.push(status)
    }
  }
  const split = async () => {
    for (let time = 0; time < times; time += 1) {
      const names = plan.groups.slice(time % 3, 2 + (time % 3)).map(({ name }) => name)
      const { status, body } = await one.call<{ id: string }>('POST', `/api/together/${id}/split`, {
        lesson: first!.id,
        groups: names,
      })
      if (status !== 200) {
        broken.push(status)
        continue
      }
      splits += 1
      await sleep(30)
      const joined = await other.call('POST', `/api/together/${id}/join`, { from: body.id, into: first!.id })
      if (joined.status !== 200) broken.push(joined.status)
      await sleep(30)
    }
    over = true
  }
  await Promise.all([...tokens.map((_, place) => write(place)), split()])
  const now = await runningAt(other, id)
  const at = new Map<string, number>()
  let homeless = 0
  for (const { plan: own, record } of now.lessons)
    for (const row of record.readings) {
      at.set(row.id, (at.get(row.id) ?? 0) + 1)
      if (!own.groups.some((group) => group.id === row.group)) homeless += 1
    }
  return {
    lost: acknowledged.filter((row) => !at.has(row)).length,
    doubled: [...at.values()].filter((count) => count > 1).length,
    homeless,
    taken: acknowledged.length,
    splits,
    broken,
  }
}

/** So many groups ask a question of their own at the same moment: every one becomes a lesson that runs together with the others. Answers how many can be joined. */
export async function raceOwnQuestions(desks: Desk[]): Promise<{ refused: unknown[]; running: number; joined: number }> {
  const { id, code, lessons } = await runTogether(desks[0]!, 'soak-up-strips', 'bounce-back')
  await desks[0]!.call('PUT', `/api/together/${id}`, { ownQuestions: true })
  const { plan } = lessons[0]!
  const names = plan.groups.slice(0, 5).map(({ name }) => name)
  const { body: join } = await desks[0]!.call<JoinView>('GET', `/api/stations?code=${encodeURIComponent(code)}`)
  const cards = join.together!.heap!.changes
  const answers = await Promise.all(
    names.map((name, place) => {
      const asked = { code, name, change: cards[place]!.name, measure: cards[place]!.beside[0]!, conditions: ['1 cm', '4 cm'] }
      return desks[place % desks.length]!.call<{ lesson: string }>('POST', '/api/stations/own-question', asked)
    }),
  )
  const running = (await runningAt(desks[0]!, id)).lessons.map((one) => one.id)
  const joins = []
  for (const [place, name] of names.entries())
    joins.push(await desks[0]!.call('POST', '/api/stations', { code, lesson: answers[place]!.body.lesson, name }))
  const refused = [...answers, ...joins].flatMap(({ status, body }) => (status === 200 ? [] : [body]))
  return { refused, running: running.length - lessons.length, joined: joins.filter(({ status }) => status === 200).length }
}
