import { afterAll, describe, expect, it } from 'vitest'
import { dayWords, timeWords } from '../wording'
import { bestStarts, dayAfter, dayOf, daysBetween, dayOff, nextSchoolDay, readingDays, type Calendar } from '.'

const own = process.env.TZ
afterAll(() => {
  if (own === undefined) delete process.env.TZ
  else process.env.TZ = own
})

// Where the clocks change: in the middle of the night in London, at midnight in Santiago (that day has no 00:00), and in Auckland, half
// the world ahead, where it is tomorrow already.
describe.each([
  ['Europe/London', '2026-03-29', '2026-10-25', 0],
  ['America/Santiago', '2026-09-06', '2026-04-05', -3],
  ['Pacific/Auckland', '2026-09-27', '2026-04-05', 13],
])('in %s, where the clocks change on %s and %s', (zone, forward, back, ahead) => {
  const inZone = <T>(work: () => T): T => {
    process.env.TZ = zone
    // The hours ahead of Greenwich in January show that the zone is this one.
    expect(new Date(2026, 0, 15).getTimezoneOffset() / -60).toBeCloseTo(ahead)
    return work()
  }

  it.each([forward, back])('days around %s come one after the other, there and back', (change) =>
    inZone(() => {
      const days = Array.from({ length: 15 }, (_, place) => dayAfter(change, place - 7))
      expect(new Set(days).size).toBe(15)
      expect([...days].sort()).toEqual(days)
      expect(days[7]).toBe(change)
      days.forEach((day, place) => {
        expect(daysBetween(days[0]!, day)).toBe(place)
        expect(dayAfter(day, -place)).toBe(days[0])
      })
    }),
  )

  it.each([forward, back])('a school’s calendar over %s has its weekends and holidays on their days', (change) =>
    inZone(() => {
      const calendar: Calendar = {
        terms: [{ name: 'Term', from: dayAfter(change, -20), to: dayAfter(change, 20) }],
        holidays: [{ name: 'Training day', from: dayAfter(change, 1), to: dayAfter(change, 1) }],
        weekdays: [true, true, true, true, true, false, false],
      }
      // The clocks change on a Sunday.
      expect([-1, 0, 1, 2].map((days) => dayOff(calendar, dayAfter(change, days)).why)).toEqual([
        'weekend',
        'weekend',
        'holiday',
        undefined,
      ])
      expect(nextSchoolDay(calendar, dayAfter(change, -2))).toBe(dayAfter(change, 2))
      expect(readingDays(calendar, dayAfter(change, -3), [0, 2, 4, 7]).map(({ day }) => day)).toEqual(
        [-3, -1, 1, 4].map((days) => dayAfter(change, days)),
      )
      expect(bestStarts(calendar, dayAfter(change, -3), 7, [0, 2])[0]!.start).toBe(dayAfter(change, 2))
    }),
  )

  it('today is the school’s own day late in the evening and early in the morning, and is written one way', () =>
    inZone(() => {
      for (const hour of [0, 1, 12, 23]) {
        const moment = new Date(2026, 2, 12, hour, 30)
        expect(dayOf(moment)).toBe('2026-03-12')
        expect(timeWords(moment.toISOString())).toBe(`${String(hour).padStart(2, '0')}:30`)
      }
      expect([dayWords('2026-03-12'), dayWords(forward), dayWords('someday')]).toEqual([
        'Thu 12 Mar',
        expect.stringMatching(/^Sun \d+ (Mar|Sep)$/),
        'someday',
      ])
    }))
})
