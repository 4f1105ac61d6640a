import { fitLevels, type Fit, type Observation } from './model'

/** What one group has of one condition. Its mean counts once, however many readings stand behind it. */
export interface Cell extends Observation {
  count: number
}

export interface CellFit extends Fit {
  cells: Cell[]
  groups: number
  /** Readings in all. */
  readings: number
  /** Harmonic mean of the readings per cell. */
  perCell: number
  /** Standard deviation of readings round their cell's mean; undefined where each cell has one reading only. */
  wobble: number | undefined
  /** Means of cells were fitted; one group alone goes by its single readings. */
  onCells: boolean
}

/**
 * Cells by group and condition, each with the mean of its readings, in the order in which they first come.
 * @example cellsOf([{ group: 'A', condition: 'x', value: 7 }, { group: 'A', condition: 'x', value: 9 }])
 *   // => [{ group: 'A', condition: 'x', value: 8, count: 2 }]
 */
export function cellsOf(observations: Observation[]): Cell[] {
  const cells = new Map<string, Map<string, Cell>>()
  for (const { group, condition, value } of observations) {
    const own = cells.get(group) ?? new Map<string, Cell>()
    cells.set(group, own)
    const cell = own.get(condition)
    if (!cell) own.set(condition, { group, condition, value, count: 1 })
    else {
      cell.value += (value - cell.value) / (cell.count + 1)
      cell.count += 1
    }
  }
  return [...cells.values()].flatMap((own) => [...own.values()])
}

/**
 * Least squares of cell mean on group and condition: what a group read three times of one strip is one strip. The mean square is never below the
 * mark's own, resolution squared / (12 n), n the harmonic mean of the readings per cell. One group alone is fitted on its single readings.
 * @param observations kept readings in one unit, at least one
 * @param resolution   the instrument's mark
 * @example fitCells([1, 2, 3].flatMap((group) => [{ group: `g${group}`, condition: 'x', value: group },
 *   { group: `g${group}`, condition: 'y', value: 2 * group }]), 1).df // 2
 */
export function fitCells(observations: Observation[], resolution: number): CellFit {
  const cells = cellsOf(observations)
  const groups = new Set(cells.map(({ group }) => group)).size
  const readings = observations.length
  const perCell = cells.length / cells.reduce((sum, { count }) => sum + 1 / count, 0)
  const onCells = groups > 1
  const fit = onCells ? fitLevels(cells, resolution ** 2 / (12 * perCell)) : fitLevels(observations, resolution ** 2 / 12)
  return { ...fit, cells, groups, readings, perCell, wobble: wobbleWithin(observations, cells), onCells }
}

/** Standard deviation of values round the mean of their cell, all cells together; undefined where every cell has one value. */
export function wobbleWithin(observations: Observation[], cells = cellsOf(observations)): number | undefined {
  const freedom = observations.length - cells.length
  if (freedom < 1) return undefined
  const means = new Map<string, Map<string, number>>()
  for (const { group, condition, value } of cells) {
    const own = means.get(group) ?? new Map<string, number>()
    means.set(group, own.set(condition, value))
  }
  const squares = observations.reduce((sum, { group, condition, value }) => {
    return sum + (value - means.get(group)!.get(condition)!) ** 2
  }, 0)
  return Math.sqrt(squares / freedom)
}
