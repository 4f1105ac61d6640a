import { activeConditions, measuredCard, momentsOf, PHASES, type Phase, type Plan } from '../lesson'
import { withoutNoise } from '../quantity'

export interface PhaseTime {
  phase: Phase
  /** Minutes since the lesson began. */
  start: number
  minutes: number
}

export interface Fit {
  phases: PhaseTime[]
  /** Seconds of one trial, all its parts. */
  trialSeconds: number
  /** Trials one group does, practice included. */
  trials: number
  /** The test takes trials x trial; otherwise they overlap or wait together. */
  oneAfterTheOther: boolean
  /** All phases together, in minutes. */
  needed: number
  /** Minutes to spare; below zero it does not fit. */
  spare: number
  /** The most repeats that would fit; 0 when not even one does. */
  repeatsThatFit: number
}

/**
 * Does the lesson fit? Every group does everything, all groups at the same time; the test phase is what `secondsOfTest` says,
 * rounded up to a whole minute.
 * @example 4 conditions, 3 repeats and 1 practice of 100 s: 16 trials, 27 minutes of testing
 */
export function fitOf(plan: Plan): Fit {
  const phases: PhaseTime[] = []
  const testMinutes = minutesOf(secondsOfTest(plan, plan.repeats))
  let start = 0
  for (const phase of PHASES) {
    const minutes = phase === 'test' ? testMinutes : plan.clock.phases[phase]
    phases.push({ phase, start, minutes })
    start = withoutNoise(start + minutes)
  }
  return {
    phases,
    trialSeconds: secondsOfTrial(plan),
    trials: roundsOf(plan) * (plan.repeats + plan.practice),
    oneAfterTheOther: plan.kind !== 'before-after' && plan.kind !== 'over-time' && !isBalance(plan),
    needed: start,
    spare: withoutNoise(plan.clock.minutes - start),
    repeatsThatFit: mostRepeats(plan, start - testMinutes),
  }
}

/** Clock time of a minute of the lesson; undefined while no start is set. `timeAt('09:50', 15) // '10:05'` */
export function timeAt(start: string, minutes: number): string | undefined {
  const match = /^(\d{2}):(\d{2})$/.exec(start)
  if (!match) return undefined
  const all = Number(match[1]) * 60 + Number(match[2]) + Math.round(minutes)
  const two = (value: number) => String(value).padStart(2, '0')
  return `${two(Math.floor(all / 60) % 24)}:${two(all % 60)}`
}

/**
 * Which phase a lesson is in and how many minutes are left of it; undefined before it begins and after the last phase.
 * @param minutes since the lesson began
 * @example phaseAt(fit, 21.5) // { phase: 'test', left: 31.5 }
 */
export function phaseAt(fit: Fit, minutes: number): { phase: Phase; left: number } | undefined {
  const now = fit.phases.find((one) => minutes >= one.start && minutes < one.start + one.minutes)
  return now && { phase: now.phase, left: withoutNoise(now.start + now.minutes - minutes) }
}

/**
 * Seconds of testing for one group.
 * - one trial after the other: (set-up + run + read + reset) x conditions x (repeats + practice); a race runs all conditions at once
 * - before and after: everything waits together, so the run counts once
 * - over time: until the last reading of the last jar; over days only today's reading
 * - on a balance: as many weighings as an order of k things takes at least, log2(k!) rounded up
 */
function secondsOfTest(plan: Plan, repeats: number): number {
  const { setUp, run, read, reset } = plan.clock.trial
  const rounds = roundsOf(plan)
  const all = rounds * (repeats + plan.practice)
  if (plan.kind === 'before-after') return all * (setUp + 2 * read + reset) + run
  if (plan.kind === 'over-time') {
    const moments = momentsOf(plan)
    const last = moments.at(-1)!.time ?? 0
    const atLast = moments.filter(({ time }) => time === last).length
    if (plan.watch.unit === 'day') return rounds * repeats * (setUp + atLast * read + reset)
    const reading = rounds * repeats * read
    const practice = rounds * plan.practice * (setUp + read + reset)
    return practice + rounds * repeats * (setUp + reset) + Math.max(last * 60 + atLast * reading, moments.length * reading)
  }
  if (isBalance(plan))
    return (repeats + plan.practice) * (setUp + weighingsFor(activeConditions(plan).length) * (run + read) + reset)
  return all * secondsOfTrial(plan)
}

/** Trials in one repeat of everything. */
function roundsOf(plan: Plan): number {
  const conditions = activeConditions(plan).length
  return plan.kind === 'order' ? Math.min(1, conditions) : conditions
}

function isBalance(plan: Plan): boolean {
  return plan.kind === 'order' && measuredCard(plan)?.method.instrument === 'balance'
}

function weighingsFor(things: number): number {
  let orders = 0
  for (let thing = 2; thing <= things; thing += 1) orders += Math.log2(thing)
  return Math.ceil(withoutNoise(orders))
}

function secondsOfTrial({ clock: { trial } }: Plan): number {
  return trial.setUp + trial.run + trial.read + trial.reset
}

function minutesOf(seconds: number): number {
  return Math.ceil(withoutNoise(seconds / 60))
}

function mostRepeats(plan: Plan, otherMinutes: number): number {
  for (let repeats = plan.repeats; repeats > 0; repeats -= 1) {
    if (otherMinutes + minutesOf(secondsOfTest(plan, repeats)) <= plan.clock.minutes) return repeats
  }
  return 0
}
