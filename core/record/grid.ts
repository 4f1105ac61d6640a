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

/** The class grid: for every group its cells, condition by condition, repeat by repeat and moment by moment. */
export function progressOf(plan: Plan, readings: Reading[]): Progress[] {
  const cellAt = cellFinder(readings)
  const conditions = activeConditions(plan)
  const moments = momentsOf(plan)
  return plan.groups.map(({ id: group }) => {
    const cells = conditions.flatMap(({ id: condition }) =>
      Array.from({ length: plan.repeats }, (_, place) =>
        moments.map((moment) => cellAt({ group, condition, repeat: place + 1, moment: moment.id, practice: false })),
      ).flat(),
    )
    return { group, cells, done: cells.filter((cell) => cell.kept.length > 0).length, all: cells.length }
  })
}

/** Practice readings, one cell for every group, condition and moment. They are shown and never counted. */
export function practiceOf(plan: Plan, readings: Reading[]): Cell[] {
  const cellAt = cellFinder(readings)
  return plan.groups.flatMap(({ id: group }) =>
    activeConditions(plan).flatMap(({ id: condition }) =>
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
 */
export function nextTrial(plan: Plan, progress: Progress): Cell | undefined {
  const moments = momentsOf(plan).map(({ id }) => id)
  const turn = (cell: Cell) => cell.repeat * moments.length + moments.indexOf(cell.moment)
  return [...progress.cells].sort((a, b) => turn(a) - turn(b)).find((cell) => cell.kept.length === 0)
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
