import { format, isValid, parseISO } from 'date-fns'

export const WEEKDAY_WORDS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'] as const

/**
 * A day as people say it, short and with its weekday; what is no day stays as it is.
 * @example dayWords('2026-03-12') // => 'Thu 12 Mar'
 */
export function dayWords(day: string): string {
  const date = parseISO(day)
  return isValid(date) ? format(date, 'EEE d MMM') : day
}

/**
 * The time of day on the clock of this computer.
 * @example timeWords(new Date(2026, 2, 12, 10, 55, 8).toISOString()) // => '10:55'
 */
export function timeWords(at: string): string {
  return format(parseISO(at), 'HH:mm')
}

/**
 * Day and time to the second.
 * @example momentOfDayWords(new Date(2026, 2, 12, 10, 55, 8).toISOString()) // => 'Thu 12 Mar, 10:55:08'
 */
export function momentOfDayWords(at: string): string {
  return format(parseISO(at), 'EEE d MMM, HH:mm:ss')
}

/** The time of day of a moment in milliseconds. `timeOfDay(new Date(2026, 2, 12, 10, 55, 8).getTime()) // '10:55'` */
export function timeOfDay(at: number): string {
  return format(at, 'HH:mm')
}
