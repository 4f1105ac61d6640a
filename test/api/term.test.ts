import { expect, inject, it } from 'vitest'
import type { TermPlan, TermPlanAsk } from '../../schemas/termPlan'
import { clientFor, reading } from './client'

const { call, newLesson, open } = clientFor(inject('base'))
const ASK: TermPlanAsk = {
  ...{ from: '2097-01-07', to: '2097-02-15', className: 'Siskin', children: 24, weekday: 2, every: 1 },
  ...{ age: '', topic: '', chosen: {} },
}
const termOf = async (change: Partial<TermPlanAsk> = {}) => {
  const { status, body } = await call<TermPlan>('POST', '/api/term/plan', { ...ASK, ...change })
  expect(status).toBe(200)
  return body
}
const laidIn = ({ weeks }: TermPlan) => weeks.flatMap(({ laid }) => laid ?? [])

it('a term is laid over the class’s own calendar, becomes lessons on their days, and these are no more laid', async () => {
  const holidays = [{ name: 'Frost week', from: '2097-01-21', to: '2097-01-25' }]
  const calendar = { terms: [], holidays, weekdays: [true, true, true, true, true, false, false] }
  expect((await call('PUT', '/api/calendar', { className: 'Siskin', calendar })).status).toBe(200)
  const term = await termOf()
  expect(term.weeks.map(({ laid, week }) => laid !== undefined || week.off)).toEqual([true, true, 'Frost week', true, true, true])
  expect(term.needs.length).toBeGreaterThan(10)
  const first = laidIn(term)[0]!

  const lessons = laidIn(term).map(({ candidate, day }) => ({ investigation: candidate, date: day }))
  const made = { className: 'Siskin', children: 24, lessons }
  const wrong = { ...made, lessons: [...lessons, { investigation: 'no-such-thing', date: '2097-01-07' }] }
  expect((await call('POST', '/api/term/lessons', wrong)).status).toBe(404)
  expect((await termOf()).weeks.every(({ standing }) => standing.length === 0)).toBe(true)
  const { body } = await call<{ ids: string[] }>('POST', '/api/term/lessons', made)
  const { plan } = (await open(body.ids[0]!)).lesson
  expect([plan.investigation, plan.date, plan.className, plan.children]).toEqual([first.candidate, first.day, 'Siskin', 24])

  const after = await termOf()
  expect(laidIn(after)).toEqual([])
  expect(after.weeks.map(({ standing }) => standing.length)).toEqual([1, 1, 0, 1, 1, 1])
  expect(after.candidates.map(({ id }) => id)).not.toContain(first.candidate)
  // What stands needs no less than what was laid.
  for (const { name, there, needed } of term.needs.filter((need) => need.there !== undefined))
    expect(after.needs).toContainEqual(expect.objectContaining({ name, there, needed }))
  await call('PUT', `/api/lessons/${body.ids[0]}/archived`, { archived: true })
  expect((await termOf()).weeks[0]!.standing).toEqual([])
})

it('what is asked for is filtered by age and topic, stays where it was chosen, and is looked through at the door', async () => {
  const around = { className: 'Dunnock' }
  const living = await termOf({ ...around, topic: 'living-things' })
  expect(living.candidates.map(({ id }) => id)).toContain('sprout-watch')
  expect(living.candidates.length).toBeLessThan(6)
  const chosen = { '2097-01-07': 'froth-tower', '2097-01-14': null }
  const byHand = await termOf({ ...around, chosen, topic: 'living-things' })
  expect(byHand.weeks[0]!.laid).toMatchObject({ candidate: 'froth-tower', byHand: true })
  expect(byHand.weeks[1]!.laid).toBeUndefined()
  const { lesson } = await newLesson('swing-time')
  const plan = { ...lesson.plan, className: 'Dunnock', date: '' }
  await call('PUT', `/api/lessons/${lesson.id}/plan`, { plan, revision: lesson.revision })
  expect(await termOf(around)).toMatchObject({ withoutDay: 1, practised: [] })
  // Once it has begun the class has practised it, although nobody said when.
  const timed = { condition: plan.conditions[0]!.id, unit: 's' as const, value: 14.2, entered: '14.2' }
  await call('POST', `/api/lessons/${lesson.id}/readings`, { readings: [reading(plan, timed)] })
  expect((await termOf(around)).practised).toContain('measure:time')
  const next = await termOf({ ...around, from: '', to: '' })
  expect([next.from < next.to, next.weeks.length]).toEqual([true, expect.any(Number)])
  for (const wrong of [{ from: '2097-03-01' }, { to: '2199-01-01' }, { every: 0 }, { weekday: 7 }, { chosen: { monday: 'x' } }])
    expect((await call('POST', '/api/term/plan', { ...ASK, ...wrong })).status, JSON.stringify(wrong)).toBe(400)
})
