import { arrangementOf, secondsGoingRound, secondsOfBatch } from '../arrangement'
import { TRIAL_PARTS, type Material, type Plan } from '../lesson'

/** A thing that goes round between the groups. */
export interface SharedThing {
  material: string
  /** How many there are of it. */
  copies: number
  /** Seconds from the start of a trial, or of several side by side, until it is needed. */
  after: number
  /** Seconds for which it is then held. */
  hold: number
}

/**
 * What goes round between the groups, and for how long a trial holds it: from the first step that needs it to the last, the run included
 * where that lies between them. Several side by side hold it until the last of them is through.
 * @example sharedThings({ ...plan, materials: [{ ...newMaterial('t', 'water tray'), use: 'again', goesRound: 1 }] })[0]!.hold // => 105
 */
export function sharedThings(plan: Plan): SharedThing[] {
  const way = arrangementOf(plan)
  if (way === 'together' || way === 'circuit') return []
  return plan.materials.flatMap((material) => {
    if (material.use !== 'again' || material.goesRound === null || material.inUse.length === 0) return []
    return [{ material: material.id, copies: Math.max(1, material.goesRound), ...heldFor(plan, material) }]
  })
}

/** The shared thing that makes testing longest for so many trials of each group; undefined when nothing goes round. */
export function scarcestThing(plan: Plan, trials: number): SharedThing | undefined {
  const slowest = sharedThings(plan).map((thing) => ({ thing, seconds: secondsWith(plan, thing, trials) }))
  return slowest.sort((a, b) => b.seconds - a.seconds)[0]?.thing
}

/** Seconds of testing where one thing goes round, for so many trials of each group. */
export function secondsWith(plan: Plan, { copies, hold }: SharedThing, trials: number): number {
  const together = sideBySide(plan, trials)
  return secondsGoingRound({
    groups: plan.groups.length,
    instruments: copies,
    trials: Math.ceil(trials / together),
    trial: secondsOfBatch(plan.clock.trial, together),
    hold,
  })
}

function heldFor(plan: Plan, { inUse }: Material): { after: number; hold: number } {
  const { trial } = plan.clock
  const together = Math.max(1, plan.clock.sideBySide)
  const [first, last] = [TRIAL_PARTS.find((part) => inUse.includes(part))!, TRIAL_PARTS.findLast((part) => inUse.includes(part))!]
  const batch = secondsOfBatch(trial, together)
  // Set up, read or cleared one after the other: so many times the step. With the run between, from the first to the last.
  if (first === last && first !== 'run') return { after: startOf(trial, first), hold: together * trial[first] }
  const after = first === 'setUp' ? 0 : trial.setUp
  const notAnyMore = last === 'reset' ? 0 : last === 'read' ? trial.reset : trial.read + trial.reset
  return { after, hold: Math.max(0, (last === 'setUp' ? together * trial.setUp : batch - notAnyMore) - after) }
}

function startOf(trial: Plan['clock']['trial'], part: (typeof TRIAL_PARTS)[number]): number {
  return TRIAL_PARTS.slice(0, TRIAL_PARTS.indexOf(part)).reduce((sum, before) => sum + trial[before], 0)
}

const sideBySide = (plan: Plan, trials: number) => Math.max(1, Math.min(plan.clock.sideBySide, trials))
