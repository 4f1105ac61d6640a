/** A day as people say it: `writeDay('2026-03-12') // 'Thu 12 March'` */
export function writeDay(date: string): string {
  const day = new Date(`${date}T12:00:00`)
  if (Number.isNaN(day.getTime())) return date
  return day.toLocaleDateString('en-GB', { weekday: 'short', day: 'numeric', month: 'long' })
}
