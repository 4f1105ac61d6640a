import { oncePerPair } from '../chance'
import { practiceByGroup, runsOf, trialOrderOf, trialsByGroup, type OwnTrial } from '../arrangement'
import { daysBetween } from '../clock'
import { activeConditions, mostRepeats, type Plan, type Reading } from '../lesson'
import {
  atMoment,
  everyMomentOf,
  hasNamedMoments,
  measuredCards,
  momentOf,
  momentsOf,
  watchesOverDays,
  withoutMark,
  kindOf,
} from '../test'
import { cellKey, currentReadings, hasPlace } from './readings'

export interface Cell {
  group: string
  condition: string
  repeat: number
  moment: string
  practice: boolean
  /** Kept readings; more than one means that two people filled the same place. */
  kept: Reading[]
  setAside: Reading[]
}

export interface Progress {
  group: string
  cells: Cell[]
  done: number
  all: number
}

/** The class grid: for every group the cells of its own trials, condition by condition, repeat by repeat and moment by moment. */
export const progressOf = oncePerPair((plan: Plan, readings: Reading[]): Progress[] => {
  const cellAt = cellFinder(readings)
  const moments = everyMomentOf(plan)
  const trials = trialsByGroup(plan)
  return plan.groups.map(({ id: group }) => {
    const cells = [...trials.get(group)!, ...strays(plan, readings, group, trials.get(group)!)].flatMap(({ condition, repeat }) =>
      moments.map((moment) => cellAt({ group, condition, repeat, moment: moment.id, practice: false })),
    )
    return { group, cells, done: cells.filter((cell) => cell.kept.length > 0).length, all: cells.length }
  })
})

/** Trials that a group did before the class was arranged otherwise: their readings count, so they keep their places. */
function strays(plan: Plan, readings: Reading[], group: string, own: OwnTrial[]): OwnTrial[] {
  const known = new Set(own.map(({ condition, repeat }) => `${condition}/${repeat}`))
  const isThere = hasPlace(plan)
  const anyMoment = everyMomentOf(plan)[0]!.id
  const found = new Map<string, OwnTrial>()
  for (const { group: by, condition, repeat, practice } of readings) {
    const key = `${condition}/${repeat}`
    if (by !== group || practice || known.has(key) || !isThere({ group, condition, repeat, moment: anyMoment })) continue
    found.set(key, { condition, repeat })
  }
  return [...found.values()]
}

/**
 * A group's trials of one condition, where several things are read of each: done when all of them are.
 * @example trialsOf(progressOf(inTwoMeasures, [])[0]!, 'tissue').length // => 3
 */
export function trialsOf({ cells }: Progress, condition: string): Cell[] {
  const trials = new Map<string, Cell>()
  for (const cell of cells.filter((one) => one.condition === condition)) {
    const moment = withoutMark(cell.moment)
    const key = `${cell.repeat}/${moment}`
    const before = trials.get(key)
    const kept = !before || (before.kept.length > 0 && cell.kept.length > 0) ? [...(before?.kept ?? []), ...cell.kept] : []
    trials.set(key, { ...cell, moment, kept, setAside: [...(before?.setAside ?? []), ...cell.setAside] })
  }
  return [...trials.values()]
}

/** How much of one condition a group has done, 0 to 1; nothing to do counts as done. */
export function shareDone({ cells }: Progress, condition: string): number {
  const own = cells.filter((cell) => cell.condition === condition)
  return own.length === 0 ? 1 : own.filter((cell) => cell.kept.length > 0).length / own.length
}

/**
 * The class grid row by row, a place for every trial that any group could have; undefined where it is not the group's own.
 * @param withPractice puts the practice places in front of each condition's own
 */
export function gridRows(plan: Plan, readings: Reading[], withPractice: boolean): (Cell | undefined)[][] {
  const moments = everyMomentOf(plan)
  const practice = withPractice ? practiceOf(plan, readings) : []
  const repeats = Array.from({ length: mostRepeats(plan) }, (_, place) => place + 1)
  return progressOf(plan, readings).map(({ group, cells }) => {
    const own = new Map([...cells, ...practice.filter((cell) => cell.group === group)].map((cell) => [cellKey(cell), cell]))
    const at = (condition: string, repeat: number, moment: string, isPractice: boolean) =>
      own.get(cellKey({ group, condition, repeat, moment, practice: isPractice }))
    return activeConditions(plan).flatMap(({ id }) => [
      ...(withPractice ? moments.map((moment) => at(id, 1, moment.id, true)) : []),
      ...repeats.flatMap((repeat) => moments.map((moment) => at(id, repeat, moment.id, false))),
    ])
  })
}

/** Practice readings, one cell for every group, condition and moment. They are shown and never counted. */
export function practiceOf(plan: Plan, readings: Reading[]): Cell[] {
  const cellAt = cellFinder(readings)
  const tried = practiceByGroup(plan)
  return plan.groups.flatMap(({ id: group }) =>
    tried
      .get(group)!
      .flatMap((condition) =>
        everyMomentOf(plan).map((moment) => cellAt({ group, condition, repeat: 1, moment: moment.id, practice: true })),
      ),
  )
}

export type Place = Pick<Cell, 'group' | 'condition' | 'repeat' | 'moment' | 'practice'>

function cellFinder(readings: Reading[]): (place: Place) => Cell {
  const byCell = new Map<string, Reading[]>()
  for (const reading of currentReadings(readings)) {
    const key = cellKey(reading)
    const own = byCell.get(key)
    if (own) own.push(reading)
    else byCell.set(key, [reading])
  }
  return (place) => {
    const rows = byCell.get(cellKey(place)) ?? []
    return {
      ...place,
      kept: rows.filter((row) => row.status === 'kept'),
      setAside: rows.filter((row) => row.status === 'set-aside'),
    }
  }
}

/**
 * The group's next empty place, in the order in which the group does its trials (core/clock/trialOrder.ts); what is read several times goes moment by moment
 * within a repeat, so that everything is weighed before and only then after. A place whose only reading was set aside is empty again.
 * @param day how many days the class has watched, where it watches over days: only the latest reading that is due is asked for,
 *   since what was missed cannot be seen any more
 */
export function nextTrial(plan: Plan, progress: Progress, day = Infinity): Cell | undefined {
  const moments = everyMomentOf(plan)
  const asked = watchesOverDays(plan) && day < Infinity ? latestDue(plan, day) : undefined
  const anyTime = !watchesOverDays(plan) || day === Infinity
  const due = new Set(moments.filter(({ time }) => anyTime || (asked !== undefined && time === asked)).map(({ id }) => id))
  const cells = cellsInOrder(plan, progress)
  const past = hasNamedMoments(plan) ? pastMoments(plan, progress) : undefined
  return cells.find((cell) => cell.kept.length === 0 && due.has(cell.moment) && !past?.has(cellKey(cell)))
}

/** Places of moments with names that have gone by: a later moment of the same trial has been read, and nobody can see the earlier one any more. */
function pastMoments(plan: Plan, { cells }: Progress): Set<string> {
  const time = new Map(everyMomentOf(plan).map((moment) => [moment.id, moment.time ?? 0]))
  const latest = new Map<string, number>()
  for (const cell of cells.filter(({ kept }) => kept.length > 0))
    latest.set(trialKey(cell), Math.max(latest.get(trialKey(cell)) ?? 0, time.get(cell.moment) ?? 0))
  return new Set(
    cells.filter((cell) => (time.get(cell.moment) ?? 0) < (latest.get(trialKey(cell)) ?? 0)).map((cell) => cellKey(cell)),
  )
}

/** All places of a group in the order in which they are filled. */
export function cellsInOrder(plan: Plan, { group, cells }: Progress): Cell[] {
  const moments = everyMomentOf(plan).map(({ id }) => id)
  const order = new Map((trialOrderOf(plan).get(group) ?? []).map((trial, place) => [trialKey(trial), place]))
  const measures = Math.max(1, measuredCards(plan).length)
  const together = moments.length > measures
  const turn = (cell: Cell) => {
    const place = order.get(trialKey(cell)) ?? order.size
    const at = moments.indexOf(cell.moment)
    const step = Math.floor(at / measures)
    const trial = together ? (cell.repeat * moments.length + step) * (order.size + 1) + place : place
    // Whoever has the thing before them reads all that is measured on it.
    return trial * measures + (at % measures)
  }
  return [...cells].sort((a, b) => turn(a) - turn(b))
}

function trialKey({ condition, repeat }: { condition: string; repeat: number }): string {
  return `${condition}/${repeat}`
}

/**
 * Places over days that were not filled on their day, the latest reading that is due left out.
 * @example missedReadings(sprouts, progressOf(sprouts, [])[0]!, 2).every(({ moment }) => moment === 't0') // => true
 */
export function missedReadings(plan: Plan, { cells }: Progress, day: number | undefined): Cell[] {
  const latest = watchesOverDays(plan) && day !== undefined ? latestDue(plan, day) : undefined
  if (latest === undefined) return []
  const times = new Map(everyMomentOf(plan).map(({ id, time }) => [id, time ?? 0]))
  return cells.filter(({ moment, kept }) => kept.length === 0 && (times.get(moment) ?? latest) < latest)
}

/** The latest time of reading that has come by this day. */
function latestDue(plan: Plan, day: number): number | undefined {
  const times = everyMomentOf(plan).flatMap(({ time }) => (time === undefined || time > day ? [] : [time]))
  return times.length === 0 ? undefined : Math.max(...times)
}

/** The places that are read at one go with this one: the same trial and time, at every place of the jar. */
export function readTogether(plan: Plan, progress: Progress, trial: Cell): Cell[] {
  const time = momentOf(plan, trial.moment)?.time
  if (time === undefined || trial.practice) return [trial]
  const together = new Set(momentsOf(atMoment(plan, trial.moment)).flatMap((moment) => (moment.time === time ? [moment.id] : [])))
  return progress.cells.filter(
    ({ condition, repeat, moment, kept }) =>
      condition === trial.condition && repeat === trial.repeat && together.has(moment) && kept.length === 0,
  )
}

/** Conditions that can run beside a trial under one clock: those whose trial of the same repeat is still to come. */
export function openBeside({ cells }: Progress, { condition, repeat, moment, practice }: Cell): string[] {
  if (practice) return [condition]
  return cells
    .filter((cell) => cell.repeat === repeat && cell.moment === moment && cell.kept.length === 0)
    .map((cell) => cell.condition)
}

/** How many runs a group has behind it, for the jobs that turn with them: a race of all conditions at once is one. */
export function runsDone(plan: Plan, { cells, done }: Progress): number {
  return kindOf(plan).allAtOnce
    ? runsOf(
        plan,
        cells.filter(({ kept }) => kept.length > 0),
      )
    : done
}

/** What the whole class has done and what there is to do. */
export function doneByAll(progress: Progress[]): { done: number; all: number } {
  const sum = (of: 'done' | 'all') => progress.reduce((total, one) => total + one[of], 0)
  return { done: sum('done'), all: sum('all') }
}

/**
 * How many days a class that watches over days has watched; undefined where the lesson has no day.
 * @param today `YYYY-MM-DD`
 * @example dayOfWatching({ date: '2026-03-12' }, '2026-03-16') // => 4
 */
export function dayOfWatching({ date }: Pick<Plan, 'date'>, today: string): number | undefined {
  if (date === '') return undefined
  return daysBetween(date, today)
}

/** Is any place of the plan still empty, those of days to come among them. */
export function hasEmptyPlaces(plan: Plan, readings: Reading[]): boolean {
  const filled = new Map<string, Set<string>>(plan.groups.map(({ id }) => [id, new Set()]))
  for (const { group, condition, repeat, moment, status, practice } of currentReadings(readings))
    if (status === 'kept' && !practice) filled.get(group)?.add(`${condition}/${repeat}/${moment}`)
  const moments = everyMomentOf(plan).map(({ id }) => id)
  return [...trialsByGroup(plan)].some(([group, trials]) =>
    trials.some(({ condition, repeat }) => moments.some((id) => !filled.get(group)?.has(`${condition}/${repeat}/${id}`))),
  )
}

/**
 * Empty places that should have been filled by now: where the class watches over time, those of times that somebody has read. None once testing is over and
 * they are to stay empty.
 */
export function gapsOf(plan: Plan, progress: Progress[]): Cell[] {
  if (plan.gapsStay) return []
  const cells = progress.flatMap((one) => one.cells)
  const read = new Set(cells.filter((cell) => cell.kept.length > 0).map(({ moment }) => moment))
  const moments = everyMomentOf(plan)
  const latest = kindOf(plan).watches ? (moments.findLast(({ id }) => read.has(id))?.time ?? 0) : Infinity
  const ahead = new Set(moments.filter(({ time }) => (time ?? 0) > latest).map(({ id }) => id))
  return cells.filter((cell) => cell.kept.length === 0 && !ahead.has(cell.moment))
}

/** The group's next practice trial, one condition after the other, until each has as many as the plan wants. */
export function nextPractice(plan: Plan, readings: Reading[], group: string): Cell | undefined {
  const own = practiceOf(plan, readings).filter((cell) => cell.group === group)
  const fewest = Math.min(...own.map(triedIn))
  return fewest < plan.practice ? own.find((cell) => triedIn(cell) === fewest) : undefined
}

function triedIn({ kept, setAside }: Cell): number {
  return kept.length + setAside.length
}
