import type { Clock, Plan } from '../lesson'

/** Seconds of one trial, all its parts. */
export function secondsOfTrial({ clock: { trial } }: Pick<Plan, 'clock'>): number {
  return trial.setUp + trial.run + trial.read + trial.reset
}

/**
 * Seconds for so many trials of one group, some side by side: all are set up one after the other and run at the same time; each is
 * read and cleared when it is ready and hands are free.
 * @example secondsOfTrials({ clock: { ...plan.clock, trial: { setUp: 20, run: 60, read: 10, reset: 15 }, sideBySide: 2 } }, 4) // => 2 * 130
 */
export function secondsOfTrials({ clock }: Pick<Plan, 'clock'>, trials: number): number {
  const together = Math.max(1, Math.min(clock.sideBySide, trials))
  if (trials === 0) return 0
  const whole = Math.floor(trials / together)
  return whole * secondsOfBatch(clock.trial, together) + secondsOfBatch(clock.trial, trials % together)
}

/**
 * Seconds from the start of testing until a group begins a trial, where one batch follows the other.
 * @param before trials that the group does first
 */
export function startOfTrial({ clock }: Pick<Plan, 'clock'>, before: number): number {
  const together = Math.max(1, clock.sideBySide)
  return Math.floor(before / together) * secondsOfBatch(clock.trial, together)
}

/** Seconds until all of some trials, begun one after the other, are read and cleared. */
export function secondsOfBatch({ setUp, run, read, reset }: Clock['trial'], trials: number): number {
  let hands = trials * setUp
  for (let trial = 1; trial <= trials; trial += 1) hands = Math.max(hands, trial * setUp + run) + read + reset
  return trials === 0 ? 0 : hands
}
