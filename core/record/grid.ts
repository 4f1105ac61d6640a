import { activeConditions, type Plan, type Reading } from '../lesson'
import { cellKey, currentReadings } from './readings'

export interface Cell {
  group: string
  condition: string
  repeat: number
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

/** The class grid: for every group its cells, condition by condition and repeat by repeat. */
export function progressOf(plan: Plan, readings: Reading[]): Progress[] {
  const byCell = new Map<string, Reading[]>()
  for (const reading of currentReadings(readings)) {
    const key = cellKey(reading)
    const own = byCell.get(key)
    if (own) own.push(reading)
    else byCell.set(key, [reading])
  }
  const conditions = activeConditions(plan)
  return plan.groups.map(({ id: group }) => {
    const cells = conditions.flatMap(({ id: condition }) =>
      Array.from({ length: plan.repeats }, (_, place): Cell => {
        const repeat = place + 1
        const rows = byCell.get(cellKey({ group, condition, repeat, practice: false })) ?? []
        return {
          group,
          condition,
          repeat,
          kept: rows.filter((row) => row.status === 'kept'),
          setAside: rows.filter((row) => row.status === 'set-aside'),
        }
      }),
    )
    return { group, cells, done: cells.filter((cell) => cell.kept.length > 0).length, all: cells.length }
  })
}

/**
 * The group's next empty place: every condition once before any comes twice, so that a lesson cut short still has something
 * of each. A place whose only reading was set aside is empty again.
 */
export function nextTrial(progress: Progress): Cell | undefined {
  return [...progress.cells].sort((a, b) => a.repeat - b.repeat).find((cell) => cell.kept.length === 0)
}
