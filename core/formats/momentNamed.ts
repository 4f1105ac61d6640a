import { format, parseISO } from 'date-fns'
import { dayAfter } from '../clock'
import type { Plan } from '../lesson'
import { momentsOf, type Moment } from '../test'

/** What tables call the first and the last reading of a trial. */
const FIRST = ['start', 'begin', 'beginning', 'at the start', 'at the beginning', 'at first', 'first', 'full', 'before']
const LAST = ['left', 'what is left', 'what was left', 'end', 'at the end', 'finish', 'final', 'last', 'remaining', 'rest', 'after']

/** A date as people write it in tables; where a school writes the month first, that stands as well. */
const WRITTEN_DATES = [
  ...['yyyy/M/d', 'd/M', 'd/M/yyyy', 'd/M/yy', 'M/d', 'M/d/yyyy', 'M/d/yy'],
  ...['d MMM', 'd MMMM', 'MMM d', 'MMMM d', 'd MMM yyyy', 'd MMMM yyyy', 'MMM d yyyy', 'MMMM d yyyy'],
]
const WEEKDAYS = ['EEE', 'EEEE']
/** With its weekday before it, or the weekday alone. */
const WRITTEN_DAYS = [
  ...WRITTEN_DATES,
  ...WEEKDAYS,
  ...WEEKDAYS.flatMap((weekday) => ['d', ...WRITTEN_DATES].map((date) => `${weekday} ${date}`)),
]

/** Without what people write differently: commas, "14th", leading zeros, the time behind a spreadsheet's date, dots and dashes in dates. */
function plainDay(text: string): string {
  return text
    .toLowerCase()
    .replace(/t\d{2}:\d{2}.*$/, '')
    .replace(/(\d)(?:st|nd|rd|th)\b/g, '$1')
    .replace(/[.\-/]+(?=\d)/g, '/')
    .replace(/\b0+(?=\d)/g, '')
    .replace(/[.,/]+(?=\s|$)/g, '')
    .replace(/\btues\b/g, 'tue')
    .replace(/\bthurs?\b/g, 'thu')
    .replace(/\bsept\b/g, 'sep')
    .replace(/,/g, '')
    .replace(/\s+/g, ' ')
    .trim()
}

/**
 * Which moment of a trial a text names: by its own name, as start or what is left, by its time, or by the weekday or date on which a plan over days reads.
 * @returns undefined where it names none, or where two days are written alike
 * @example momentNamed(inTwoPlaces, '5 min') // => 't5p1'
 */
export function momentNamed(plan: Plan, text: string): string | undefined {
  const moments = momentsOf(plan)
  if (moments.length < 2) return undefined
  const plain = text.trim().toLowerCase()
  const exact = moments.find(({ id, half, name }) => id === plain || half === plain || name?.trim().toLowerCase() === plain)
  if (exact) return exact.id
  const ends = [FIRST, LAST].findIndex((words) => words.includes(plain))
  if (ends >= 0) return moments.at(-ends)!.id
  const number = /^(?:day\s*)?(\d+(?:[.,]\d+)?)\s*(?:min|minutes?|days?)?$/.exec(plain)?.[1]
  const timed = number === undefined ? undefined : moments.find(({ time }) => time === Number(number.replace(',', '.')))?.id
  return timed ?? momentOfDay(plan, moments, plainDay(text))
}

function momentOfDay(plan: Plan, moments: Moment[], written: string): string | undefined {
  if (plan.watch.unit !== 'day' || plan.date === '' || written === '') return undefined
  const onDay = moments.filter(({ time }) => {
    if (time === undefined) return false
    const day = parseISO(dayAfter(plan.date, time))
    return WRITTEN_DAYS.some((form) => plainDay(format(day, form)) === written)
  })
  // Several places are read on one day; two days that are written alike are told apart by nobody.
  return new Set(onDay.map(({ time }) => time)).size === 1 ? onDay[0]!.id : undefined
}
