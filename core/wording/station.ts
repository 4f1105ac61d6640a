import type { Cell } from '../record'
import type { Plan } from '../lesson'
import { testOf } from '../test'
import { mindLines } from './cautions'
import { counted, momentWords, nameOfCondition, writeReading } from './names'

const A_SECOND = 1000

/** What a station reads aloud before a trial. */
export function trialAloud(plan: Plan, { condition, moment, practice, repeat }: Cell): string {
  const which = practice ? 'Practice: it does not count' : `trial ${repeat}`
  const minds = mindLines(plan, [condition]).map((line) => line.replace(/\.$/, ''))
  return [nameOfCondition(plan, condition), momentWords(plan, moment), which, ...plan.resetList, ...minds]
    .filter(Boolean)
    .join('. ')
}

/** A time on a lap timer, as a child's hand takes it. `lapWords(4312) // '4.3 s'` */
export function lapWords(milliseconds: number): string {
  return `${(milliseconds / A_SECOND).toFixed(1)} s`
}

/** A place in a race as it is written down, with its time where one was taken. `raceEntry(plan, 4, 4312) // '4th, 4.3 s'` */
export function raceEntry(plan: Plan, place: number, milliseconds: number | undefined): string {
  const words = writeReading(plan, place, 'place')
  return milliseconds === undefined ? words : `${words}, ${lapWords(milliseconds)}`
}

/** Readings that nobody took on their day. `'2 readings of earlier days were missed. …'` */
export function missedWords(count: number): string {
  const what = `${counted(count, 'reading')} of earlier days ${count === 1 ? 'was' : 'were'} missed`
  return `${what}. Leave the gap: it cannot be seen any more.`
}

/** How what was entered at a station stands: on its way, sent, or waiting for the line. Sent is only said where nothing is left. */
export function lineStateWords({ beingKept, waiting, connected }: { beingKept: number; waiting: number; connected: boolean }): {
  words: string
  bad: boolean
} {
  if (!connected) return { words: waiting > 0 ? `line is down, ${waiting} waiting` : 'line is down', bad: true }
  return { words: beingKept > 0 ? 'writing it down' : waiting > 0 ? 'sending' : 'sent', bad: false }
}

/** What of an entry that the server did not take can be keyed in at the desk. */
export function refusedWords(body: unknown): string {
  const { readings, text } = body as { readings?: { entered: string }[]; text?: string }
  return readings?.map(({ entered }) => entered).join(', ') || text || 'a picture or a prediction'
}

/** What is no race: eyes, ears or hands put all of them in order, and nothing that tells the time. */
const BY_SENSES = /\b(ears?|eyes?|hands?|fingers?|nose|listening|looking|touch|feel)\b/i
const TIMED_BY = /watch|timer|clock|finish/i

/**
 * What a station asks where all are put in an order at once, and what one go at it is called: a race, unless something else than a clock decides.
 * `roundWords(race) // { asked: 'Who came first? …', round: 'Race', timed: true }`
 */
export function roundWords(plan: Plan): { asked: string; round: string; timed: boolean } {
  const { method, measure } = testOf(plan)
  const tool = method?.tool.trim() ?? ''
  if (!BY_SENSES.test(tool) || TIMED_BY.test(tool))
    return { asked: 'Who came first? Tap them as they came in.', round: 'Race', timed: true }
  return { asked: `First to last, going by ${measure!.name}: tap them in that order.`, round: 'Round', timed: false }
}
