import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { soakUpPlan } from '../../test/soakUp'
import { dayAfter } from '../clock'
import {
  bookedOf,
  bookedSoon,
  bookingsBefore,
  bookingsInOrder,
  bookingsOf,
  NO_SCHOOL,
  takenBefore,
  takesOf,
  type School,
  type Taking,
  type Thing,
} from '.'

const things: Thing[] = ['ruler', 'tray', 'sugar'].map((id) => ({
  id,
  name: id,
  unit: id === 'sugar' ? 'kg' : 'pieces',
  stock: 9,
  place: '',
  minimum: null,
  pack: null,
  price: null,
}))

const anyTaking = (id: string): fc.Arbitrary<Taking> =>
  fc
    .record({
      day: fc.integer({ min: 0, max: 12 }),
      start: fc.constantFrom('09:00', '10:30'),
      lastDay: fc.constantFrom(0, 0, 4),
      of: fc.array(
        fc.record({
          thing: fc.constantFrom('ruler', 'tray', 'sugar', 'gone'),
          amount: fc.integer({ min: 1, max: 9 }),
          use: fc.constantFrom('up' as const, 'again' as const),
        }),
        { maxLength: 3 },
      ),
    })
    .map(({ day, start, lastDay, of }) => ({
      id,
      title: id,
      date: day === 12 ? '' : dayAfter('2026-03-25', day),
      start,
      takes: {
        lastDay,
        of: of.map((one) => ({ ...one, unit: one.thing === 'sugar' ? ('g' as const) : ('pieces' as const), density: null })),
      },
    }))

describe('what lessons take out of one cupboard', () => {
  it('each lesson sees the same from the bookings in order as from all of them', () => {
    const anySchool = fc.tuple(...['a', 'b', 'c', 'd', 'e', 'f'].map(anyTaking))
    fc.assert(
      fc.property(anySchool, fc.integer({ min: 0, max: 4 }), (lessons, days) => {
        const held = { before: days, after: 1 }
        const bookings = lessons.flatMap((lesson) => bookingsOf(lesson, things, held))
        const inOrder = bookingsInOrder(bookings)
        for (const lesson of lessons) {
          const school: School = { ...NO_SCHOOL, things, bookings, held, lesson: lesson.id }
          const plan = soakUpPlan({
            date: lesson.date,
            clock: { ...soakUpPlan().clock, start: lesson.start },
            ...(lesson.takes.lastDay > 0 && {
              kind: 'over-time',
              watch: { ...soakUpPlan().watch, unit: 'day', times: [0, lesson.takes.lastDay] },
            }),
          })
          const own = { ...school, bookings: bookingsBefore(inOrder, lesson, held) }
          const taken = new Set(lesson.takes.of.map(({ thing }) => thing))
          for (const thing of things.filter(({ id }) => taken.has(id))) {
            const names = (of: School) =>
              takenBefore(thing, plan, of)
                .map((one) => `${one.lesson} ${one.amount} ${one.use}`)
                .sort()
            expect(names(own)).toEqual(names(school))
          }
        }
      }),
      { seed: 13, numRuns: 300 },
    )
  })

  it('of many bookings the next ones are shown, and those that fall short before the rest', () => {
    const days = Array.from({ length: 12 }, (_, place) => dayAfter('2026-03-01', place))
    const bookings = days.flatMap((date) => {
      const amount = date === days[9] ? 12 : 7
      const takes = { lastDay: 0, of: [{ thing: 'ruler', amount, unit: 'pieces' as const, density: null, use: 'again' as const }] }
      return bookingsOf({ id: date, title: '', date, start: '10:00', takes }, things, { before: 0, after: 0 })
    })
    const booked = bookedOf(things[0]!, bookings)
    expect(booked.map(({ short }) => short)).toEqual(days.map((day) => (day === days[9] ? 3 : 0)))
    const { soon, others } = bookedSoon(booked, days[4]!)
    expect([soon.map(({ date }) => date), others]).toEqual([[days[4], days[5], days[6], days[9]], 8])
    expect(bookedSoon(booked, '2026-04-01')).toEqual({ soon: [], others: 12 })
  })

  it('of two lessons that want the same things, the one that comes first has them, whoever was planned first', () => {
    const [late, early]: Taking[] = ['2026-03-12', '2026-03-11'].map((date) => ({
      id: date,
      title: '',
      date,
      start: '10:00',
      takes: { lastDay: 0, of: [{ thing: 'ruler', amount: 7, unit: 'pieces', density: null, use: 'again' }] },
    }))
    const held = { before: 1, after: 1 }
    const inOrder = bookingsInOrder([late!, early!].flatMap((lesson) => bookingsOf(lesson, things, held)))
    expect(bookingsBefore(inOrder, late!, held).map(({ lesson }) => lesson)).toEqual(['2026-03-11'])
    expect(bookingsBefore(inOrder, early!, held)).toEqual([])
  })

  it('a plan takes what its materials need, in the unit that they are needed in, and nothing without a thing', () => {
    const plan = soakUpPlan()
    expect(takesOf(plan)).toEqual({ lastDay: 0, of: [] })
    const linked = soakUpPlan({ materials: plan.materials.map((one) => (one.id === 'rulers' ? { ...one, thing: 'ruler' } : one)) })
    expect(takesOf(linked).of).toEqual([{ thing: 'ruler', amount: 7, unit: 'pieces', density: null, use: 'again' }])
    expect(takesOf({ ...linked, kind: 'over-time', watch: { ...linked.watch, unit: 'day', times: [0, 3, 7] } }).lastDay).toBe(7)
  })
})
