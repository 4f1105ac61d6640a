import { countsOf, momentOf, type Counted } from '../test'
import type { HomeReading } from '../reports'
import { dayWords } from './days'
import { momentWords } from './names'
import type { Plan } from '../lesson'

/** What gets less is read at the start, and what is left of it. */
const GETS_LESS: Counted[] = ['loss', 'of-100']

/**
 * What a line of a home sheet is called: when it is read, with its day.
 * @example homeReadingWords(soakUpPlan(), { moment: '', day: '2026-03-14', weekend: true }) // => 'Sat 14 Mar (weekend)'
 */
export function homeReadingWords(plan: Plan, { moment, day, weekend }: HomeReading): string {
  const half = GETS_LESS.includes(countsOf(plan)) ? momentOf(plan, moment)?.half : undefined
  const when = half === 'before' ? 'start' : half === 'after' ? 'left' : momentWords(plan, moment)
  const date = day === undefined ? '' : `${dayWords(day)}${weekend ? ' (weekend)' : ''}`
  return [when, date].filter(Boolean).join(', ')
}
