import { dayAfter, weekdayOf } from './days'

/** A stretch of days, both ends included. */
export interface Days {
  name: string
  from: string
  to: string
}

/** When a class has school. Without terms every stretch of the year counts as term. */
export interface Calendar {
  terms: Days[]
  holidays: Days[]
  /** Monday first: whether the class has school on that weekday. */
  weekdays: boolean[]
}

/**
 * A stretch of days with another end: whichever is written now holds, and the other follows where it would lie on the wrong side of it.
 * @example withEnd({ name: 'Snow week', from: '2026-03-09', to: '2026-03-13' }, 'from', '2026-03-16').to // => '2026-03-16'
 */
export function withEnd(days: Days, end: 'from' | 'to', day: string): Days {
  const changed = { ...days, [end]: day }
  return changed.from <= changed.to ? changed : { ...changed, from: day, to: day }
}

export const USUAL_CALENDAR: Calendar = { terms: [], holidays: [], weekdays: [true, true, true, true, true, false, false] }

export type DayOff = 'weekend' | 'holiday' | 'out-of-term' | undefined

/** Why there is no school on a day; undefined where there is. */
export function dayOff(calendar: Calendar, day: string): { why: DayOff; name: string } {
  const within = (days: Days[]) => days.find(({ from, to }) => from <= day && day <= to)
  const holiday = within(calendar.holidays)
  if (holiday) return { why: 'holiday', name: holiday.name }
  if (calendar.terms.length > 0 && !within(calendar.terms)) return { why: 'out-of-term', name: '' }
  return { why: calendar.weekdays[weekdayOf(day)] ? undefined : 'weekend', name: '' }
}

const LONGEST_HOLIDAY = 60

/**
 * The first day after this one on which there is school; the day itself where there is none for two months.
 * @example nextSchoolDay(USUAL_CALENDAR, '2026-03-13') // => '2026-03-16'
 */
export function nextSchoolDay(calendar: Calendar, day: string): string {
  const later = Array.from({ length: LONGEST_HOLIDAY }, (_, place) => dayAfter(day, place + 1))
  return later.find((one) => dayOff(calendar, one).why === undefined) ?? day
}

export interface ReadingDay {
  /** As the plan has it, in days after the start. */
  after: number
  day: string
  off: { why: DayOff; name: string }
}

/** The days on which a class would read, and which of them nobody is there. */
export function readingDays(calendar: Calendar, start: string, times: number[]): ReadingDay[] {
  return times.map((after) => {
    const day = dayAfter(start, after)
    return { after, day, off: dayOff(calendar, day) }
  })
}

export interface StartDay {
  start: string
  days: ReadingDay[]
  lost: number
}

/**
 * Every school day in a stretch as the start of a test over days, best first: the fewest readings lost to weekends and holidays,
 * then the soonest.
 * @example bestStarts(USUAL_CALENDAR, '2026-03-09', 7, [0, 2, 4])[0] // => { start: '2026-03-09', lost: 0, … }
 */
export function bestStarts(calendar: Calendar, from: string, days: number, times: number[]): StartDay[] {
  return Array.from({ length: days }, (_, place) => dayAfter(from, place))
    .map((start) => {
      const read = readingDays(calendar, start, times)
      return { start, days: read, lost: read.filter(({ off }) => off.why !== undefined).length, open: dayOff(calendar, start) }
    })
    .filter(({ open }) => open.why === undefined)
    .map(({ start, days: read, lost }) => ({ start, days: read, lost }))
    .sort((a, b) => a.lost - b.lost || a.start.localeCompare(b.start))
}
