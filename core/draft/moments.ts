import { NUMBER_WORDS, numberOf } from '../quantity'
import type { Plan } from '../lesson'
import { FIRST_TIMES, MOST_NAMED, MOST_TIMES } from '../test'

/** When a line says that something is read: times on a clock or days, or moments with names. */
export interface WatchRead {
  watch: Pick<Plan['watch'], 'unit' | 'times' | 'named'>
  quote: string
  /** The line says how often and for how long; else a part of it is assumed. */
  said: boolean
}

const NUMBER = String.raw`\d+|${NUMBER_WORDS.join('|')}|a|an`
const EVERY = new RegExp(
  String.raw`\b(?:every|each)\s+(?:(?<other>other|second)\s+|(?<count>${NUMBER})\s+)?(?<unit>minute|hour|day|week|morning|afternoon|lesson|monday|tuesday|wednesday|thursday|friday)s?\b|\b(?<word>daily|weekly|hourly)\b`,
  'iu',
)
const FOR = new RegExp(String.raw`\b(?:for|over|during)\s+(?<count>${NUMBER})\s+(?<unit>minute|hour|day|week|month)s?\b`, 'iu')
const DAYS: Record<string, number> = {
  day: 1,
  morning: 1,
  afternoon: 1,
  lesson: 1,
  week: 7,
  monday: 7,
  tuesday: 7,
  wednesday: 7,
  thursday: 7,
  friday: 7,
  month: 28,
}
const MINUTES: Record<string, number> = { minute: 1, hour: 60 }
const USUAL_STEPS = 5

/** @example momentsIn('every two minutes for ten minutes').watch.times // => [0, 2, 4, 6, 8, 10] */
export function momentsIn(text: string): WatchRead {
  const named = namedIn(text)
  if (named)
    return {
      watch: {
        unit: 'min',
        times: named.names.map((_, place) => place),
        named: named.names.map((name, place) => ({ id: `n${place + 1}`, name, atHome: false })),
      },
      quote: named.quote,
      said: true,
    }
  const every = EVERY.exec(text)
  const lasts = FOR.exec(text)
  const unit = (
    every?.groups!.unit ??
    { daily: 'day', weekly: 'week', hourly: 'hour' }[every?.groups!.word?.toLowerCase() ?? ''] ??
    lasts?.groups!.unit ??
    ''
  ).toLowerCase()
  if (unit === '') return { watch: { unit: 'min', times: FIRST_TIMES.min, named: [] }, quote: '', said: false }
  const inDays = unit in DAYS
  const size = inDays ? DAYS[unit]! : MINUTES[unit]!
  const count = every?.groups!.other ? 2 : every?.groups!.count ? amount(every.groups!.count) : 1
  const step = size * count
  const long = lasts ? lastsFor(lasts, inDays) : undefined
  const steps = Math.min(MOST_TIMES - 1, Math.max(1, Math.round((long ?? step * USUAL_STEPS) / step)))
  return {
    watch: { unit: inDays ? 'day' : 'min', times: Array.from({ length: steps + 1 }, (_, place) => place * step), named: [] },
    quote: [every?.[0], lasts?.[0]].filter(Boolean).join(' … '),
    said: every !== null && long !== undefined,
  }
}

function amount(said: string): number {
  return /^an?$/i.test(said) ? 1 : numberOf(said.toLowerCase())
}

function lastsFor({ groups }: RegExpExecArray, inDays: boolean): number | undefined {
  const unit = groups!.unit!.toLowerCase()
  const size = inDays ? DAYS[unit] : MINUTES[unit]
  return size === undefined ? undefined : size * amount(groups!.count!)
}

/** "on Monday, Wednesday and Friday" */
export const WEEKDAYS =
  /\bon (?<list>(?:mon|tues|wednes|thurs|fri|satur|sun)day(?:\s*(?:,|and)\s*(?:and\s+)?(?:mon|tues|wednes|thurs|fri|satur|sun)day)+)\b/iu

/** "at the start, after one hour and after three hours" */
export const STARTING =
  /\b(?<list>at (?:the )?(?:start|beginning)(?:,| and|, and) (?:(?:after|in) [\p{L}\d ]{3,16}?(?:,? and |, )){0,6}(?:after (?:an?|one|two|three|four|five|six|\d+) (?:minute|hour|day|week)s?|at (?:the )?end))\b/iu

/** "dry, wet and dry again", "at 9, 11 and 3 o’clock". */
function namedIn(text: string): { names: string[]; quote: string } | undefined {
  const clock =
    /\b(?:at|by)\s+(?<list>(?:\d{1,2}(?:[:.]\d\d)?|one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|noon)(?:\s*(?:,|and)\s*(?:and\s+)?(?:\d{1,2}(?:[:.]\d\d)?|one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|noon))+)\s*o['’]?\s?clock/iu.exec(
      text,
    )
  if (clock)
    return {
      names: clock
        .groups!.list!.split(/\s*,\s*(?:and\s+)?|\s+and\s+/)
        .slice(0, MOST_NAMED)
        .map((hour) => `${hour} o’clock`),
      quote: clock[0],
    }
  const days = WEEKDAYS.exec(text)
  const starting = STARTING.exec(text)
  if (starting) return { names: namesIn(starting.groups!.list!.replace(/^at (?:the )?/i, '')), quote: starting[0] }
  if (days) return { names: namesIn(days.groups!.list!), quote: days[0] }
  const hourly = /\b(?:every hour|hourly|each hour)\b/i.exec(text)
  if (hourly)
    return {
      names: ['start', ...Array.from({ length: MOST_NAMED - 1 }, (_, place) => `${place + 1} h later`)].slice(0, MOST_NAMED),
      quote: hourly[0],
    }
  const states =
    /\b(?<list>(?:dry|wet|soaked|damp|frozen|fresh|raw|full|empty)(?:, (?:dry|wet|soaked|damp|frozen|melted|fresh|dried|raw|cooked|half full))*,? and (?:wrung out|dry|wet|soaked|melted|dried|cooked|empty|full|after (?:a|an|one|two|three|\d+) [\p{L} ]{3,30}))(?! again)\b/iu.exec(
      text,
    )
  if (states) return { names: namesIn(states.groups!.list!), quote: states[0] }
  const again = /\b(?<one>\p{L}+), (?<other>\p{L}+) and (?<back>\p{L}+) again\b/iu.exec(text)
  return again ? { names: [again.groups!.one!, again.groups!.other!, `${again.groups!.back!} again`], quote: again[0] } : undefined
}

function namesIn(list: string): string[] {
  return list.split(/\s*,\s*(?:and\s+)?|\s+and\s+/).slice(0, MOST_NAMED)
}
