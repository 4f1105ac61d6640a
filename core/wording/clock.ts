import type { Circuit } from '../arrangement'
import { testPaceOf, timeAt, type Coming, type DayOff, type Fit, type Jar, type TestEnds } from '../clock'
import type { LessonPace } from '../record'
import { letterOf, type ArrangementWay, type Clock, type Plan } from '../lesson'
import { writeShort } from '../quantity'
import { kindOf } from '../test'
import { KIND_WORDS } from './kinds'
import { conditionWithLetter, counted, nameOfGroup, ofHundred } from './names'

export const ARRANGEMENT_WORDS: Record<ArrangementWay, { name: string; what: string }> = {
  'every-group': { name: 'Every group everything', what: 'Each group does all the conditions with its own things.' },
  'share-out': {
    name: 'Share out',
    what: 'Each group does some of the conditions; together the class has them all, at least twice.',
  },
  circuit: { name: 'Circuit', what: 'The things stay where they are; groups walk from station to station.' },
  together: { name: 'All together', what: 'One apparatus in the middle; the groups take turns, everybody watches.' },
}

export const DAY_OFF_WORDS: Record<Exclude<DayOff, undefined>, string> = {
  weekend: 'no school on that weekday',
  holiday: 'a holiday',
  'out-of-term': 'outside the terms',
}

/** Does it fit, in one line: a chance, since no two classes go at one pace. `'Fits in 71 of 100 classes.'` */
export function fitVerdict({ spare, trialSeconds }: Fit, ends: TestEnds | undefined): string {
  if (spare < 0) return `${minuteWords(-spare)} too long.`
  if (trialSeconds === 0) return 'Say how long one trial takes, then it can be worked out.'
  if (!ends) return 'Nothing to time yet: say what is tested, and by how many groups.'
  return ends.fits ? `It fits: in ${ofHundred(ends.chance)} classes.` : `Fits in ${ofHundred(ends.chance)} classes.`
}

/** By when nine in ten have tested, and by when they should. `'Nine in ten have tested by 11:53; it should end at 11:45, the bell is at 12:00.'` */
export function testEndWords(plan: Plan, { nineInTen, until }: TestEnds): string {
  const bell = timeAt(plan.clock.start, plan.clock.minutes)
  const end = `Nine in ten have tested by ${minuteAt(plan, nineInTen)}; it should end at ${minuteAt(plan, until)}`
  return `${end}, the bell is ${bell ? `at ${bell}` : `after ${minuteWords(plan.clock.minutes)}`}.`
}

/** A minute of the lesson by the clock, or its number while no start is set. `'11:53'`, `'minute 63'` */
export function minuteAt(plan: Plan, minute: number): string {
  return timeAt(plan.clock.start, minute) ?? `minute ${Math.round(minute)}`
}

/** Whose last lessons a pace is known from. `'Because class Puffin took 1.2 × as long as planned in its last 3 lessons.'` */
export function paceWords({ className, clock: { pace } }: Plan): string {
  if (!pace) return ''
  const times = Math.round(pace.times * 10) / 10
  const how = times === 1 ? 'kept to the planned time' : `took ${writeShort(times)} × as long as planned`
  return `Because class ${className} ${how} in its last ${pace.lessons === 1 ? 'lesson' : `${pace.lessons} lessons`}.`
}

/**
 * How long trials of this lesson really took, beside the plan.
 * @example reallyTookWords(soakUpPlan(), { log: Math.log(1.2), timed: 84 }) // => 'Trials really took 1 min 54 s, planned was 1 min 45 s: their hands 1.2 × as long (84 timed).'
 */
export function reallyTookWords(plan: Plan, { log, timed }: Pick<LessonPace, 'log' | 'timed'>): string {
  const trial = testPaceOf(plan)?.trial
  if (!trial) return ''
  const times = Math.exp(log)
  const took = secondWords(Math.round(trial.wait + trial.hands * times))
  const planned = secondWords(Math.round(trial.wait + trial.hands))
  const rounded = Math.round(times * 10) / 10
  const hands = rounded === 1 ? '' : `: their hands ${writeShort(rounded)} × as long`
  return `Trials really took ${took}, planned was ${planned}${hands} (${timed} timed).`
}

/** When it ends and when it should, as planned. `'Ends at 11:42, the bell is at 11:45.'`; empty while no start is set. */
export function endWords(plan: Plan, fit: Fit): string {
  const [end, bell] = [timeAt(plan.clock.start, fit.needed), timeAt(plan.clock.start, plan.clock.minutes)]
  return end && bell ? `Ends at ${end}, the bell is at ${bell}.` : ''
}

/** The sum behind the test phase. `'16 trials × 1 min 45 s = 28 minutes'` */
export function testSum(fit: Fit): string {
  const test = fit.phases.find((one) => one.phase === 'test')!
  if (!fit.oneAfterTheOther) return `${counted(fit.trials, 'trial')} that wait together: ${minuteWords(test.minutes)}`
  const beside = fit.sideBySide > 1 ? `, ${fit.sideBySide} side by side` : ''
  const waiting = fit.waiting > 0 ? `, ${secondWords(fit.waiting)} of waiting in it` : ''
  return `${counted(fit.trials, 'trial')} × ${secondWords(fit.trialSeconds)}${beside} = ${minuteWords(test.minutes)}${waiting}`
}

/** The parts of one trial that this kind of test takes time for, and what they are called. Over time the plan's own times say how long. */
export function trialParts(plan: Plan): { part: keyof Clock['trial']; label: string }[] {
  const parts: { part: keyof Clock['trial']; label: string }[] = [
    { part: 'setUp', label: 'Set up (fetch and fix)' },
    { part: 'run', label: KIND_WORDS[plan.kind].run(plan) },
    { part: 'read', label: 'Read (look and write)' },
    { part: 'reset', label: 'Reset (dry and clear)' },
  ]
  return kindOf(plan).watches ? parts.filter(({ part }) => part !== 'run') : parts
}

export function minuteWords(minutes: number): string {
  return minutes === 1 ? '1 minute' : `${writeShort(minutes)} minutes`
}

/** Which jar of a reading timetable it is. `'Cedar B dark cupboard 2'` */
export function jarWords(plan: Plan, { group, condition, repeat }: Jar, place: number): string {
  if (condition === undefined) return `jar ${place + 1} of each group`
  const parts = [group && nameOfGroup(plan, group), conditionWithLetter(plan, condition), plan.repeats > 1 && String(repeat)]
  return parts.filter(Boolean).join(' ')
}

/** When a circuit ends, and whether it could end sooner. */
export function circuitVerdict({ rounds, finish, bound }: Pick<Circuit, 'rounds' | 'finish' | 'bound'>): string {
  if (rounds) return `${counted(rounds.count, 'round')} of ${secondWords(rounds.seconds)}, with the walk: ${secondWords(finish)}.`
  const sooner = finish <= bound ? 'no rota can end sooner' : `none can end before ${secondWords(bound)}`
  return `Ends after ${secondWords(finish)}; ${sooner}.`
}

/** As a stopwatch shows it. `stopwatchWords(450) // '7:30'` */
export function stopwatchWords(seconds: number): string {
  return `${Math.floor(seconds / 60)}:${String(Math.floor(seconds % 60)).padStart(2, '0')}`
}

export function secondWords(seconds: number): string {
  const [whole, rest] = [Math.floor(seconds / 60), Math.round(seconds % 60)]
  return whole === 0 ? `${rest} s` : rest === 0 ? `${whole} min` : `${whole} min ${rest} s`
}

/**
 * What comes next for a group, without the time. `'Cedar reads B tissue'`, to itself `'Read B tissue'`.
 * @param to the group that is spoken to
 */
export function comingWords(plan: Plan, coming: Coming, to?: string): string {
  if (coming.what === 'move') {
    const extra = plan.arrangement.extra.find(({ id }) => id === coming.station)
    const station = extra ? extra.name : conditionWithLetter(plan, coming.station)
    const where = `${station}${copyWords(coming)}`
    return to === undefined ? `${nameOfGroup(plan, coming.group)} to ${where}` : `Go to ${where}`
  }
  const { jar, place, what } = coming
  const name = jarWords(plan, { ...jar, group: undefined }, place)
  if (to !== undefined) return `${what === 'read' ? 'Read' : 'Start'} ${name}`
  return jar.group === undefined ? `Everybody: ${what} ${name}` : `${nameOfGroup(plan, jar.group)} ${what}s ${name}`
}

/** `'now'`, or `'in 0:40'`. */
export function soonWords(seconds: number): string {
  return seconds <= 0 ? 'now' : `in ${stopwatchWords(Math.ceil(seconds))}`
}

/** Where somebody goes in a circuit, as short as it can be said: the letter, or a station's own name. `'B'`, `'Write up, place 2'` */
export function stationWords(plan: Plan, move: Extract<Coming, { what: 'move' }>): string {
  const extra = plan.arrangement.extra.find(({ id }) => id === move.station)
  return `${extra ? extra.name : letterOf(plan, move.station)}${copyWords(move)}`
}

function copyWords({ copy }: Extract<Coming, { what: 'move' }>): string {
  return copy === undefined ? '' : `, place ${copy + 1}`
}
