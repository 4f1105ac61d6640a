// Made once: making one takes a hundred times as long as using it.
const DAY = new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', month: 'long' })
const SHORT_DAY = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short' })
const MINUTE = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' })
const SECOND = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit', second: '2-digit' })

/** A day as people say it: `writeDay('2026-03-12') // 'Thu 12 March'` */
export function writeDay(date: string): string {
  const day = new Date(`${date}T12:00:00`)
  return Number.isNaN(day.getTime()) ? date : DAY.format(day)
}

/** The time of day on the clock of this device: `'10:55'` */
export function writeMinute(iso: string): string {
  return MINUTE.format(new Date(iso))
}

/** Day and time to the second: `'12 Mar, 10:55:08'` */
export function writeMoment(iso: string): string {
  const at = new Date(iso)
  return `${SHORT_DAY.format(at)}, ${SECOND.format(at)}`
}
