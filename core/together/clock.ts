import { changeTogether, fewestRounds, runsOf, secondsOfTrials, trialsByGroup } from '../arrangement'
import type { Interleaving } from './interleave'
import { groupsTogether, inGroups, type Member, type Together } from './setOfLessons'
import type { TrialTogether } from './timedTrials'

/** What a group does at which time. */
export interface TimedStep extends TrialTogether {
  start: number
  clears: number
  end: number
}

/**
 * A timetable group by group, each in its own order of time.
 * @example stepsByGroup({ placed: [], finish: 0, bound: 0 }, new Map(), ['Alder']) // => [{ group: 'Alder', steps: [] }]
 */
export function stepsByGroup(
  { placed }: Interleaving,
  of: Map<string, TrialTogether>,
  groups: string[],
): { group: string; steps: TimedStep[] }[] {
  const steps = placed
    .flatMap(({ id, start, clears, end }): TimedStep[] => {
      const trial = of.get(id)
      return trial ? [{ ...trial, start, clears, end }] : []
    })
    .sort((a, b) => a.start - b.start)
  return groups.map((group) => ({ group, steps: steps.filter((step) => step.group === group) }))
}

/**
 * The minutes that the longest of the lessons leaves for testing, its other phases taken off.
 * @example minutesForTesting([{ clock: { ...soakUpPlan().clock, minutes: 60, phases: { gather: 4, wonder: 5, plan: 5, predict: 4, fetch: 3, clearAway: 4, results: 6, agree: 5 } } }]) // => 24
 */
export function minutesForTesting(plans: Pick<Member['plan'], 'clock'>[]): number {
  const left = plans.map(({ clock }) => clock.minutes - Object.values(clock.phases).reduce((sum, minutes) => sum + minutes, 0))
  return Math.max(1, ...left)
}

/**
 * Trials that are under way at the same time, told apart: each with the first lane that is free when it begins.
 * @param steps by their beginning
 * @example lanesOf([{ start: 0, end: 60 }, { start: 30, end: 90 }, { start: 60, end: 70 }]).map(({ lane }) => lane) // => [0, 1, 0]
 */
export function lanesOf<Step extends { start: number; end: number }>(steps: Step[]): { step: Step; lane: number }[] {
  const ends: number[] = []
  return steps.map((step) => {
    const free = ends.findIndex((end) => end <= step.start)
    const lane = free < 0 ? ends.length : free
    ends[lane] = step.end
    return { step, lane }
  })
}

/** What fits into the time: trials that end within it, of how many. */
export interface FitTogether {
  seconds: number
  there: number
  fits: boolean
  within: number
  all: number
  /** Trials of each lesson that do not end in time. */
  late: Record<string, number>
}

/**
 * @example fitTogether({ placed: [{ id: 'x', start: 0, clears: 50, end: 60 }], finish: 60, bound: 60 }, new Map(), 1).fits // => true
 */
export function fitTogether({ placed, finish }: Interleaving, of: Map<string, TrialTogether>, minutes: number): FitTogether {
  const there = minutes * 60
  const late: Record<string, number> = {}
  for (const { id, end } of placed) {
    const lesson = of.get(id)?.lesson
    if (end > there && lesson !== undefined) late[lesson] = (late[lesson] ?? 0) + 1
  }
  const within = placed.filter(({ end }) => end <= there).length
  return { seconds: finish, there, fits: finish <= there, within, all: placed.length, late }
}

/** Where each group is in each round, where all go round; a lesson's id, or undefined where a group has nothing to do. */
export interface CircuitTogether {
  groups: string[]
  rounds: (string | undefined)[][]
  /** Seconds of one round, the walk to it included. */
  round: number
  seconds: number
  fits: boolean
  /** Groups that some lesson does not have: they are added before anybody begins. */
  missing: { lesson: string; group: string }[]
}

/**
 * Every group at every investigation once, in the fewest rounds, all changing together: nobody in two places, no set with two groups.
 * @example circuitTogether([{ lesson: 'a', plan: soakUpPlan() }, { lesson: 'b', plan: soakUpPlan() }], NEW_TOGETHER).rounds.length // => 7
 */
export function circuitTogether(all: Member[], { sets, walk, minutes }: Together): CircuitTogether {
  const members = inGroups(all)
  const groups = groupsTogether(members)
  const copies = members.map(({ lesson }) => sets[lesson] ?? 1)
  const rota = groups.length === 0 ? [] : changeTogether({ groups: groups.length, copies })
  const round = Math.max(0, ...members.map(({ plan }) => secondsAtOne(plan))) + walk
  const seconds = groups.length === 0 ? 0 : fewestRounds(groups.length, copies) * round
  return {
    groups: groups.map(({ name }) => name),
    rounds: rota.map((row) => row.map((place) => place && members[place.station]!.lesson)),
    round,
    seconds,
    fits: seconds <= minutes * 60,
    missing: members.flatMap(({ lesson }) =>
      groups.flatMap(({ name, ids }) => (ids[lesson] === undefined ? [{ lesson, group: name }] : [])),
    ),
  }
}

/** How long the group with the most to do stays at an investigation. */
function secondsAtOne(plan: Member['plan']): number {
  const runs = [...trialsByGroup(plan).values()].map((trials) => runsOf(plan, trials))
  return secondsOfTrials(plan, Math.max(0, ...runs))
}

/**
 * Which round of a circuit it is, seconds after it began; undefined before and after.
 * @example roundAt({ groups: [], rounds: [[], []], round: 60, seconds: 120, fits: true, missing: [] }, 61) // => 1
 */
export function roundAt({ rounds, round }: CircuitTogether, seconds: number): number | undefined {
  const at = Math.floor(seconds / Math.max(1, round))
  return seconds < 0 || at >= rounds.length ? undefined : at
}

/**
 * Where each group of a circuit is in a round: its name and the lesson's id, undefined where it has nothing to do.
 * @example placesInRound({ groups: ['Alder'], rounds: [['a']], round: 60, seconds: 60, fits: true, missing: [] }, 0) // => [{ group: 'Alder', lesson: 'a' }]
 */
export function placesInRound({ groups, rounds }: CircuitTogether, round: number): { group: string; lesson: string | undefined }[] {
  return groups.map((group, place) => ({ group, lesson: rounds[round]?.[place] }))
}

/**
 * Where a group of a circuit goes after a lesson, by the rota; undefined after its last one.
 * @example nextInCircuit({ groups: ['Alder'], rounds: [['a'], [undefined], ['b']], round: 60, seconds: 180, fits: true, missing: [] }, 'Alder', 'a') // => 'b'
 */
export function nextInCircuit({ groups, rounds }: CircuitTogether, group: string, lesson: string): string | undefined {
  const own = rounds.map((row) => row[groups.indexOf(group)])
  const now = own.indexOf(lesson)
  return now < 0 ? undefined : own.slice(now + 1).find((one) => one !== undefined)
}

/**
 * Which lesson each group is at, by the running rounds; nothing while none run.
 * @param now milliseconds, as the clock of the server has them
 * @example placesNow([], { ...NEW_TOGETHER, way: 'circuit' }, 0) // => []
 */
export function placesNow(members: Member[], together: Together, now: number): { group: string; lesson: string | undefined }[] {
  if (together.way !== 'circuit' || together.clockStarted === null) return []
  const circuit = circuitTogether(members, together)
  const round = roundAt(circuit, (now - Date.parse(together.clockStarted)) / 1000)
  return round === undefined ? [] : placesInRound(circuit, round)
}
