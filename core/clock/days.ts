import { addDays, differenceInCalendarDays, format, getISODay, parseISO } from 'date-fns'

/** A day as it is stored: `YYYY-MM-DD`, without a time and without a time zone. */
const DAY = 'yyyy-MM-dd'

/**
 * The day that it is at this moment where this computer stands: a school's day, not that of Greenwich.
 * @example dayOf(new Date(2026, 2, 12, 23, 30)) // => '2026-03-12'
 */
export function dayOf(at: Date): string {
  return format(at, DAY)
}

/**
 * So many days later, or earlier where they are fewer than none.
 * @example dayAfter('2026-02-27', 2) // => '2026-03-01'
 */
export function dayAfter(day: string, days: number): string {
  return format(addDays(parseISO(day), days), DAY)
}

/**
 * How many days lie between two days, whatever the clocks did meanwhile.
 * @example daysBetween('2026-03-28', '2026-03-30') // => 2
 */
export function daysBetween(from: string, to: string): number {
  return differenceInCalendarDays(parseISO(to), parseISO(from))
}

/** From Monday to Sunday. */
export interface Week {
  from: string
  to: string
}

/**
 * The week that a day lies in.
 * @example weekAround('2026-03-12') // => { from: '2026-03-09', to: '2026-03-15' }
 */
export function weekAround(day: string): Week {
  const from = dayAfter(day, -weekdayOf(day))
  return { from, to: dayAfter(from, 6) }
}

export type PartOfShelf = 'this-week' | 'coming' | 'no-day' | 'earlier'

/**
 * Where a lesson stands on the shelf; an empty day is none yet.
 * @example partOfShelf('2026-03-16', weekAround('2026-03-12')) // => 'coming'
 */
export function partOfShelf(day: string, { from, to }: Week): PartOfShelf {
  if (day === '') return 'no-day'
  if (day < from) return 'earlier'
  return day > to ? 'coming' : 'this-week'
}

/**
 * Monday 0 to Sunday 6.
 * @example weekdayOf('2026-03-12') // => 3
 */
export function weekdayOf(day: string): number {
  return getISODay(parseISO(day)) - 1
}
