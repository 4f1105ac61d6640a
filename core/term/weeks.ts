import { bestStarts, dayAfter, dayOff, daysBetween, weekAround, type Calendar, type ReadingDay, type Week } from '../clock'

/** A week of a term with the days on which the class has school. */
export interface SchoolWeek extends Week {
  open: string[]
  /** Why there is no school all week: the name of the holiday, or empty where it has none. */
  off: string | undefined
}

/**
 * The weeks from one day to another, Monday to Sunday, each with its school days within these days.
 * @example weeksOf(USUAL_CALENDAR, '2026-03-11', '2026-03-17').map(({ open }) => open.length) // => [3, 2]
 */
export function weeksOf(calendar: Calendar, from: string, to: string): SchoolWeek[] {
  const weeks: SchoolWeek[] = []
  for (let week = weekAround(from); week.from <= to; week = weekAround(dayAfter(week.from, 7))) {
    const days = Array.from({ length: 7 }, (_, place) => dayAfter(week.from, place)).filter((day) => from <= day && day <= to)
    const offs = days.map((day) => ({ day, ...dayOff(calendar, day) }))
    const open = offs.filter(({ why }) => why === undefined).map(({ day }) => day)
    const off = open.length > 0 ? undefined : (offs.find(({ name }) => name !== '')?.name ?? '')
    weeks.push({ ...week, open, off })
  }
  return weeks
}

/** When a lesson would begin in a week, and on which days it would be read. */
export interface Start {
  day: string
  readings: ReadingDay[]
  lost: number
}

/**
 * The day of a week to begin on: the one that loses the fewest readings to days off, then the class's own weekday, then the one nearest
 * after it, then the soonest.
 * @param times days after the first on which is read; `[0]` for a lesson of one day
 * @param weekday 0 for Monday; null where any day will do
 * @returns undefined where the week has no school
 * @example startIn(USUAL_CALENDAR, weeksOf(USUAL_CALENDAR, '2026-03-09', '2026-03-15')[0]!, [0, 2, 4], 3)!.day // => '2026-03-09'
 */
export function startIn(
  calendar: Calendar,
  { from, open }: SchoolWeek,
  times: number[],
  weekday: number | null,
): Start | undefined {
  const wish = dayAfter(from, weekday ?? 0)
  const [best] = bestStarts(calendar, from, 7, times)
    .filter(({ start }) => open.includes(start))
    .map((one) => ({ ...one, away: one.start >= wish ? 0 : 1 }))
    .sort((a, b) => a.lost - b.lost || a.away - b.away || a.start.localeCompare(b.start))
  return best && { day: best.start, readings: best.days, lost: best.lost }
}

/**
 * The same stretch of days with another first day: one that begins after it ends keeps its length and moves.
 * @example withFirstDay({ from: '2026-01-05', to: '2026-01-16' }, '2026-02-02') // => { from: '2026-02-02', to: '2026-02-13' }
 */
export function withFirstDay({ from, to }: { from: string; to: string }, first: string): { from: string; to: string } {
  return { from: first, to: first <= to ? to : dayAfter(first, Math.max(0, daysBetween(from, to))) }
}

/**
 * Which term to plan: the one of the calendar that today lies in, else the next one; without terms twelve weeks from today.
 * @example termAround({ ...USUAL_CALENDAR, terms: [{ name: 'Spring', from: '2026-01-05', to: '2026-03-27' }] }, '2025-12-20')
 *   // => { from: '2026-01-05', to: '2026-03-27' }
 */
export function termAround(calendar: Calendar, today: string): { from: string; to: string } {
  const [term] = calendar.terms.filter(({ to }) => to >= today).sort((a, b) => a.from.localeCompare(b.from))
  if (!term) return { from: today, to: dayAfter(today, 12 * 7 - 1) }
  return { from: term.from < today ? today : term.from, to: term.to }
}
