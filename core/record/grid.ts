import { practiceByGroup, trialsByGroup, type OwnTrial } from '../clock'
import { activeConditions, momentsOf, type Plan, type Reading } from '../lesson'
import { cellKey, currentReadings } from './readings'

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
export function progressOf(plan: Plan, readings: Reading[]): Progress[] {
  const cellAt = cellFinder(readings)
  const moments = momentsOf(plan)
  const trials = trialsByGroup(plan)
  return plan.groups.map(({ id: group }) => {
    const cells = [...trials.get(group)!, ...strays(plan, readings, group, trials.get(group)!)].flatMap(({ condition, repeat }) =>
      moments.map((moment) => cellAt({ group, condition, repeat, moment: moment.id, practice: false })),
    )
    return { group, cells, done: cells.filter((cell) => cell.kept.length > 0).length, all: cells.length }
  })
}

/** Trials that a group did before the class was arranged otherwise: their readings count, so they keep their places. */
function strays(plan: Plan, readings: Reading[], group: string, own: OwnTrial[]): OwnTrial[] {
  const known = new Set(own.map(({ condition, repeat }) => `${condition}/${repeat}`))
  const active = new Set(activeConditions(plan).map(({ id }) => id))
  const found = new Map<string, OwnTrial>()
  for (const { group: by, condition, repeat, practice } of readings) {
    const key = `${condition}/${repeat}`
    if (by !== group || practice || known.has(key) || !active.has(condition) || repeat > plan.repeats) continue
    found.set(key, { condition, repeat })
  }
  return [...found.values()]
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
  const moments = momentsOf(plan)
  const practice = withPractice ? practiceOf(plan, readings) : []
  const repeats = Array.from({ length: plan.repeats }, (_, place) => place + 1)
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
        momentsOf(plan).map((moment) => cellAt({ group, condition, repeat: 1, moment: moment.id, practice: true })),
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
 * The group's next empty place: every condition once before any comes twice, so that a lesson cut short still has something
 * of each; within a repeat, one moment after the other. A place whose only reading was set aside is empty again.
 * @param day how many days the class has watched, where it watches over days: what is not due yet is not asked for
 */
export function nextTrial(plan: Plan, progress: Progress, day = Infinity): Cell | undefined {
  const moments = momentsOf(plan)
  const ids = moments.map(({ id }) => id)
  const due = new Set(moments.filter(({ time }) => plan.watch.unit !== 'day' || (time ?? 0) <= day).map(({ id }) => id))
  const turn = (cell: Cell) => cell.repeat * ids.length + ids.indexOf(cell.moment)
  return [...progress.cells].sort((a, b) => turn(a) - turn(b)).find((cell) => cell.kept.length === 0 && due.has(cell.moment))
}

/**
 * How many days a class that watches over days has watched; undefined where the lesson has no day.
 * @param today `YYYY-MM-DD`
 * @example dayOfWatching({ date: '2026-03-12' }, '2026-03-16') // 4
 */
export function dayOfWatching({ date }: Pick<Plan, 'date'>, today: string): number | undefined {
  if (date === '') return undefined
  return Math.round((Date.parse(`${today}T00:00Z`) - Date.parse(`${date}T00:00Z`)) / 86_400_000)
}

/** Empty places that should have been filled by now: where the class watches over time, those of times that somebody has read. */
export function gapsOf(plan: Plan, progress: Progress[]): Cell[] {
  const cells = progress.flatMap((one) => one.cells)
  const read = new Set(cells.filter((cell) => cell.kept.length > 0).map(({ moment }) => moment))
  const moments = momentsOf(plan)
  const latest = plan.kind === 'over-time' ? (moments.findLast(({ id }) => read.has(id))?.time ?? 0) : Infinity
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
