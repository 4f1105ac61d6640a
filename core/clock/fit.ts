import { PHASES, trialsPerGroup, type Phase, type Plan } from '../lesson'
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
  /** All phases together, in minutes. */
  needed: number
  /** Minutes to spare; below zero it does not fit. */
  spare: number
  /** The most repeats that would fit; 0 when not even one does. */
  repeatsThatFit: number
}

/**
 * Does the lesson fit? Every group does everything, one trial after the other, all groups at the same time; the test phase is
 * (set-up + run + read + reset) x conditions x (repeats + practice), rounded up to a whole minute.
 * @example 4 conditions, 3 repeats and 1 practice of 100 s: 16 trials, 27 minutes of testing
 */
export function fitOf(plan: Plan): Fit {
  const trialSeconds = secondsOfTrial(plan)
  const trials = trialsWith(plan, plan.repeats)
  const phases: PhaseTime[] = []
  let start = 0
  for (const phase of PHASES) {
    const minutes = phase === 'test' ? minutesOf(trials, trialSeconds) : plan.clock.phases[phase]
    phases.push({ phase, start, minutes })
    start = withoutNoise(start + minutes)
  }
  const spare = withoutNoise(plan.clock.minutes - start)
  const others = start - minutesOf(trials, trialSeconds)
  return { phases, trialSeconds, trials, needed: start, spare, repeatsThatFit: mostRepeats(plan, trialSeconds, others) }
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

function secondsOfTrial({ clock: { trial } }: Plan): number {
  return trial.setUp + trial.run + trial.read + trial.reset
}

function trialsWith(plan: Plan, repeats: number): number {
  const conditions = trialsPerGroup({ ...plan, repeats: 1 })
  return conditions * (repeats + plan.practice)
}

function minutesOf(trials: number, trialSeconds: number): number {
  return Math.ceil(withoutNoise((trials * trialSeconds) / 60))
}

function mostRepeats(plan: Plan, trialSeconds: number, otherMinutes: number): number {
  for (let repeats = plan.repeats; repeats > 0; repeats -= 1) {
    if (otherMinutes + minutesOf(trialsWith(plan, repeats), trialSeconds) <= plan.clock.minutes) return repeats
  }
  return 0
}
