import { trialOrderOf } from '../arrangement'
import { type Plan } from '../lesson'
import { momentsOf, kindOf } from '../test'
import type { Busy, InterleaveAsk, TimedTrial } from './interleave'
import { groupsTogether, type Member, type Together, type Waiting } from './setOfLessons'

/** Whose trial it is. */
export interface TrialTogether {
  id: string
  lesson: string
  group: string
  condition: string
  repeat: number
}

/** Nobody begins something else in a shorter wait. */
const SHORTEST_WAIT = 60
/** A timetable for people goes by half minutes. */
const GRID = 30

/** Does a trial of this plan wait by itself: what the teacher said; else where it is watched over time, has others beside it, or waits for long. */
export function waitingOf(plan: Plan, said: Waiting | undefined): Waiting {
  if (said !== undefined) return said
  const long = plan.clock.trial.run >= 2 * SHORTEST_WAIT
  return kindOf(plan).watches || plan.clock.sideBySide > 1 || long ? 'free' : 'watched'
}

/**
 * Every counted trial of every group, as the timetable sees it: in half minutes, with the waits in which a group can do something else. Each group's own set of an
 * investigation is a thing of which it has as many as trials of it may run side by side; where all go round it is the sets in the room.
 * @example timedTrials([{ lesson: 'a', plan: soakUpPlan() }], NEW_TOGETHER).ask.crews // => 7
 */
export function timedTrials(
  members: Member[],
  together: Together,
): { ask: InterleaveAsk; of: Map<string, TrialTogether>; groups: string[] } {
  const groups = groupsTogether(members)
  const of = new Map<string, TrialTogether>()
  const trials: TimedTrial[] = []
  const copies: number[] = []
  for (const { lesson, plan } of members) {
    const shape = trialShape(plan, waitingOf(plan, together.waiting[lesson]))
    const shared = together.way === 'circuit' ? copies.push(together.sets[lesson] ?? 1) - 1 : undefined
    const order = trialOrderOf(plan)
    for (const [crew, { name, ids }] of groups.entries()) {
      const own = runs(plan, order.get(ids[lesson] ?? '') ?? [])
      if (own.length === 0) continue
      const thing = shared ?? copies.push(Math.max(1, plan.clock.sideBySide)) - 1
      for (const { condition, repeat } of own) {
        const id = `${lesson}/${name}/${condition}/${repeat}`
        of.set(id, { id, lesson, group: name, condition, repeat })
        trials.push({ id, crew, things: [thing], ...shape })
      }
    }
  }
  return { ask: { trials, crews: groups.length, copies }, of, groups: groups.map(({ name }) => name) }
}

/** A race runs all its conditions at once. */
function runs(plan: Plan, trials: { condition: string; repeat: number }[]): { condition: string; repeat: number }[] {
  if (!kindOf(plan).allAtOnce) return trials
  return trials.filter(({ repeat }, at) => trials.findIndex((one) => one.repeat === repeat) === at)
}

/** When a trial needs hands, on the grid of the timetable. */
function trialShape(plan: Plan, waiting: Waiting): Pick<TimedTrial, 'busy' | 'clear'> {
  const { setUp, run, read, reset } = plan.clock.trial
  const { watches } = kindOf(plan)
  const readings = watches && plan.watch.unit === 'min' ? timesOf(plan) : watches ? [0] : [run]
  const offsets = waiting === 'watched' ? [] : readings
  const begin = upToGrid(setUp)
  const spans =
    waiting === 'watched'
      ? [{ from: 0, to: upToGrid(setUp + Math.max(0, ...readings) + read) }]
      : [
          { from: 0, to: begin },
          ...offsets.map((after) => ({ from: downToGrid(begin + after), to: upToGrid(begin + after + read) })),
        ]
  const busy: Busy[] = []
  for (const { from, to } of spans) {
    const before = busy.at(-1)
    // Readings close together, and a wait in which nobody begins anything, are one stretch.
    if (before && from < before.after + before.hands + SHORTEST_WAIT) before.hands = Math.max(before.hands, to - before.after)
    else busy.push({ after: from, hands: to - from })
  }
  return { busy, clear: upToGrid(reset) }
}

/** Seconds after the start at which something is read. */
function timesOf(plan: Plan): number[] {
  return [...new Set(momentsOf(plan).flatMap(({ time }) => (time === undefined ? [] : [time * 60])))].sort((a, b) => a - b)
}

function upToGrid(seconds: number): number {
  return Math.ceil(seconds / GRID) * GRID
}

function downToGrid(seconds: number): number {
  return Math.floor(seconds / GRID) * GRID
}
