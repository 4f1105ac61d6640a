import { describe, expect, it } from 'vitest'
import { soakUpPlan } from '../../test/ready'
import { INVESTIGATIONS } from '../../schemas/investigations'
import { USUAL_CALENDAR, type Calendar } from '../clock'
import { NO_SCHOOL, withThings, type Booking, type Thing } from '../kit'
import { type Plan } from '../lesson'
import { planFrom } from '../test'
import {
  candidateOf,
  layTerm,
  mostTaken,
  occasionsOf,
  practisedIn,
  termAround,
  termNeeds,
  weeksOf,
  type Candidate,
  type TermAsk,
} from '.'

const ready = (id: string, things: Thing[] = []): Plan =>
  withThings(
    planFrom(INVESTIGATIONS[id]!, 'Puffin', 26, () => 'g'),
    things,
  )
const candidate = (id: string): Candidate => candidateOf(id, ready(id), INVESTIGATIONS[id]!.topic)
const ALL = Object.keys(INVESTIGATIONS).map((id) => candidate(id))
const TERM: TermAsk = { from: '2027-01-04', to: '2027-03-26', weekday: 3, every: 1, chosen: {} }
const calendar: Calendar = { ...USUAL_CALENDAR, holidays: [{ name: 'Winter week', from: '2027-02-15', to: '2027-02-19' }] }
const GROUND = { candidates: ALL, standing: [], practised: [], calendar, school: NO_SCHOOL }
const thing = (id: string, stock: number): Thing => ({
  ...{ id, name: id, unit: 'pieces', stock, place: '', minimum: null, pack: null, price: null },
})
const booking = (lesson: string, date: string, amount: number, use: Booking['use'] = 'again', until = date): Booking => ({
  ...{ thing: 't', lesson, title: lesson, date, start: '', from: date, until, amount, use },
})

describe('the weeks of a term', () => {
  it('are whole weeks with the school days between its days, and say which holiday fills one', () => {
    const weeks = weeksOf(calendar, '2027-02-10', '2027-02-23')
    expect(weeks.map(({ open }) => open.length)).toEqual([3, 0, 2])
    expect(weeks.map(({ off }) => off)).toEqual([undefined, 'Winter week', undefined])
  })

  it('are those of the term that today lies in, else of the next one', () => {
    const terms = [
      { name: 'Summer', from: '2027-04-12', to: '2027-07-16' },
      { name: 'Spring', from: '2027-01-04', to: '2027-03-26' },
    ]
    expect(termAround({ ...calendar, terms }, '2026-12-20')).toEqual({ from: '2027-01-04', to: '2027-03-26' })
    expect(termAround({ ...calendar, terms }, '2027-02-01')).toEqual({ from: '2027-02-01', to: '2027-03-26' })
    expect(termAround({ ...calendar, terms }, '2027-08-01')).toEqual({ from: '2027-08-01', to: '2027-10-23' })
  })
})

describe('a term is laid so that', () => {
  it('every school week has another investigation on the class’s weekday, and none lies in the holidays', () => {
    const weeks = layTerm(TERM, GROUND)
    expect(weeks).toHaveLength(12)
    const laid = weeks.flatMap(({ laid }) => laid ?? [])
    expect(laid).toHaveLength(11)
    expect(new Set(laid.map(({ candidate: id }) => id)).size).toBe(11)
    expect(weeks[6]).toMatchObject({ isOpen: false, laid: undefined, week: { off: 'Winter week' } })
    for (const { day, readings, lost } of laid)
      if (readings.length === 1) expect([new Date(`${day}T12:00:00Z`).getUTCDay(), lost]).toEqual([4, 0])
  })

  it('nothing is laid into the last week of December unless somebody puts it there', () => {
    const ask = { from: '2026-12-14', to: '2027-01-10', weekday: null, every: 1, chosen: {} }
    const free = { ...GROUND, calendar: USUAL_CALENDAR, standing: [] }
    expect(layTerm(ask, free).map(({ isOpen }) => isOpen)).toEqual([true, true, false, true])
    const [, , told] = layTerm({ ...ask, chosen: { '2026-12-28': 'swing-time' } }, free)
    expect(told!.laid).toMatchObject({ candidate: 'swing-time', byHand: true })
  })

  it('what is read over days loses no reading to a weekend or a holiday where a start in that week can help it', () => {
    const overDays = ALL.filter(({ times }) => times.length > 1)
    expect(overDays.length).toBeGreaterThan(0)
    for (const { laid } of layTerm({ ...TERM, every: 3 }, { ...GROUND, candidates: overDays })) {
      if (!laid) continue
      const { times } = overDays.find(({ id }) => id === laid.candidate)!
      const open = weeksOf(calendar, laid.day, laid.day)[0]!.open
      expect(open).toEqual([laid.day])
      expect(laid.readings.map(({ after }) => after)).toEqual(times)
      if (Math.max(...times) <= 4) expect(laid.lost).toBe(0)
    }
  })

  it('what has not been practised comes first: kinds and measurements that the class knows wait', () => {
    const two: TermAsk = { ...TERM, from: '2027-01-04', to: '2027-01-17' }
    const known = ['swing-time', 'ice-cubes'].filter((id) => INVESTIGATIONS[id]).flatMap((id) => candidate(id).practises)
    const first = layTerm(two, { ...GROUND, practised: known }).flatMap(({ laid }) => laid ?? [])
    const fresh = new Set(first.flatMap(({ fresh: own }) => own))
    expect(first).toHaveLength(2)
    for (const one of known) expect(fresh.has(one)).toBe(false)
    // No other two would be the first time for more.
    const most = ALL.flatMap((one, place) =>
      ALL.slice(place + 1).map(
        (other) => new Set([...one.practises, ...other.practises].filter((its) => !known.includes(its))).size,
      ),
    )
    expect(fresh.size).toBeGreaterThanOrEqual(Math.max(...most) - 1)
  })

  it('things that another lesson holds are not wanted in the same days', () => {
    const both = ['a', 'b'].map((id): Candidate => ({
      ...candidate(id === 'a' ? 'swing-time' : 'froth-tower'),
      ...{ id, practises: [], kind: 'order', times: [0] },
      takes: { lastDay: 0, of: id === 'a' ? [{ thing: 't', amount: 7, unit: 'pieces', density: null, use: 'again' }] : [] },
    }))
    const school = { ...NO_SCHOOL, things: [thing('t', 10)], bookings: [booking('other class', '2027-01-07', 7)] }
    const ask = { ...TERM, to: '2027-01-17' }
    const order = (all: Candidate[]) =>
      layTerm(ask, { ...GROUND, candidates: all, school }).map(({ laid }) => [laid!.candidate, laid!.short.map(({ why }) => why)])
    for (const all of [both, [...both].reverse()])
      expect(order(all)).toEqual([
        ['b', []],
        ['a', []],
      ])
    const forced = layTerm({ ...ask, chosen: { '2027-01-04': 'a' } }, { ...GROUND, candidates: both, school })
    expect(forced[0]!.laid).toMatchObject({ candidate: 'a', byHand: true, short: [{ thing: 't', why: 'taken' }] })
  })

  it('what was chosen by hand stays, a week can be left free, and lessons that stand already keep theirs', () => {
    const chosen = { '2027-01-11': 'froth-tower', '2027-01-18': null }
    const standing = [
      { id: 's', title: 'Ours', date: '2027-01-27', kind: 'order' as const, practises: occasionsOf(ready('froth-tower')) },
    ]
    const weeks = layTerm({ ...TERM, chosen }, { ...GROUND, standing })
    expect(weeks[1]!.laid).toMatchObject({ candidate: 'froth-tower', byHand: true })
    expect(weeks[2]).toMatchObject({ isOpen: true, laid: undefined })
    expect(weeks[3]).toMatchObject({ isOpen: false, laid: undefined, standing })
    const ids = weeks.flatMap(({ laid }) => (laid ? [laid.candidate] : []))
    expect(ids.filter((id) => id === 'froth-tower')).toHaveLength(1)
    const everySecond = layTerm({ ...TERM, every: 2 }, { ...GROUND, standing })
    expect(everySecond.map(({ laid, standing: there }) => laid !== undefined || there.length > 0).filter(Boolean)).toHaveLength(6)
  })

  it('no exchange of two weeks would make it better, judged by what a teacher sees', () => {
    const weeks = layTerm({ ...TERM, to: '2027-02-07' }, GROUND)
    const laid = weeks.map((one) => ALL.find(({ id }) => id === one.laid?.candidate)!)
    for (const [one, next] of laid.slice(1).map((next, place) => [laid[place]!, next] as const))
      expect(one.topic).not.toBe(next.topic)
    expect(weeks.every((one) => one.laid!.short.length === 0)).toBe(true)
  })
})

describe('what a term needs', () => {
  it('adds up what is used up, and counts what is used again as often as it is held at one time', () => {
    const all = () => true
    expect(mostTaken([booking('a', '2027-01-07', 7), booking('b', '2027-01-14', 5)], all)).toBe(7)
    expect(mostTaken([booking('a', '2027-01-07', 7, 'again', '2027-01-20'), booking('b', '2027-01-14', 5)], all)).toBe(12)
    expect(mostTaken([booking('a', '2027-01-07', 7, 'up'), booking('b', '2027-01-14', 5, 'up')], all)).toBe(12)
    expect(
      mostTaken([booking('b', '2027-01-14', 5, 'up'), booking('a', '2027-01-07', 7, 'up')], ({ lesson }) => lesson === 'a'),
    ).toBe(7)
  })

  it('is bought in whole packs after what other lessons take, and what nobody lists is put together by name', () => {
    const strips = { ...thing('t', 10), name: 'Paper strip', pack: 20, price: 3 }
    const bookings = [
      booking('other', '2027-01-05', 6, 'up'),
      booking('own', '2027-01-07', 30, 'up'),
      booking('next', '2027-02-07', 9, 'up'),
    ]
    const plan = ready('froth-tower')
    const needs = termNeeds(
      [
        { id: 'own', title: 'Soak-up', date: '2027-01-07' },
        { id: 'x', title: 'Froth', date: '2027-01-14', plan },
      ],
      bookings,
      {
        things: [strips],
      },
    )
    expect(needs[0]).toMatchObject({
      name: 'Paper strip',
      needed: 30,
      there: 10,
      short: 35,
      packs: { count: 2, cost: 6, leftOver: 5 },
    })
    expect(needs.slice(1).every(({ there, lessons }) => there === undefined && lessons[0] === 'Froth')).toBe(true)
    const twice = termNeeds(
      ['x', 'y'].map((id) => ({ id, title: id, date: '2027-01-14', plan })),
      [],
      { things: [] },
    )
    for (const { name, needed, lessons } of twice) {
      const once = needs.find((one) => one.name === name)!
      const { use } = plan.materials.find((one) => one.name === name)!
      expect([needed, lessons], name).toEqual([use === 'up' ? 2 * once.needed : once.needed, ['x', 'y']])
    }
  })
})

it('what a lesson practises follows from its plan until it has begun, then from its record', () => {
  expect(occasionsOf(soakUpPlan())).toEqual(
    expect.arrayContaining(['fair-testing', 'repeating', 'kind:fair-test', 'measure:length']),
  )
  expect(occasionsOf({ ...soakUpPlan(), repeats: 1 })).not.toContain('repeating')
  const practises = occasionsOf(soakUpPlan())
  expect(practisedIn({ practises, skills: ['measuring'], begun: false })).toEqual(practises)
  expect(practisedIn({ practises, skills: ['measuring'], begun: true })).toEqual(['measuring', 'kind:fair-test', 'measure:length'])
})
