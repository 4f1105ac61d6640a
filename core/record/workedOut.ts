import { mean } from 'simple-statistics'
import { activeConditions, measuredCard, momentsOf, type Plan, type Reading } from '../lesson'
import { unitOf, withoutNoise } from '../quantity'
import { countedReadings, currentReadings } from './readings'
import { trialResults, wholeTrials } from './results'

/** Columns that are worked out from the readings. */
export type WorkedOut = 'difference' | 'change' | 'per-cent-lost' | 'per-time' | 'total'

/** What can be worked out for this kind of test, in the order of the table. */
export function workedOutFor(plan: Plan): WorkedOut[] {
  const method = measuredCard(plan)?.method
  if (method?.instrument !== 'number') return []
  const amount = unitOf(method.unit).dimension !== 'temperature'
  if (plan.kind === 'before-after') return ['change', ...(amount ? (['per-cent-lost'] as const) : [])]
  if (plan.kind === 'over-time' && plan.watch.times.length > 1)
    return ['change', 'per-time', ...(amount ? (['per-cent-lost', 'total'] as const) : [])]
  return activeConditions(plan).length > 1 ? ['difference'] : []
}

/** What one row of the table says: every reading, kept or set aside, and the results that are averaged. */
export interface TableRow {
  condition: string
  /** Current readings that are not practice, in the order of repeats and moments. */
  readings: Reading[]
  /** One result a trial, in the plan's unit. */
  results: number[]
  workedOut: Partial<Record<WorkedOut, number>>
}

/**
 * The results of the class, or of one group, condition by condition, in the plan's one unit.
 * @param group one group's own table; the class's without it
 */
export function resultsTable(plan: Plan, readings: Reading[], group?: string): TableRow[] {
  const own = group === undefined ? readings : readings.filter((reading) => reading.group === group)
  const results = trialResults(plan, own)
  const current = currentReadings(own).filter(({ practice }) => !practice)
  const counted = countedReadings(plan, own)
  const moments = momentsOf(plan).map(({ id }) => id)
  const order = ({ repeat, moment }: Reading) => repeat * (moments.length + 1) + moments.indexOf(moment)
  const rows = activeConditions(plan).map(({ id: condition }) => ({
    condition,
    readings: current.filter((reading) => reading.condition === condition).sort((a, b) => order(a) - order(b)),
    results: results.filter((result) => result.condition === condition).map(({ value }) => value),
  }))
  const averages = new Map(rows.flatMap((row) => (row.results.length > 0 ? [[row.condition, mean(row.results)] as const] : [])))
  const compared = comparedWith(plan, averages)
  return rows.map((row) => ({
    ...row,
    workedOut: Object.fromEntries(
      workedOutFor(plan).flatMap((column) => {
        const value =
          column === 'difference'
            ? differenceFrom(compared, averages.get(row.condition), row.condition)
            : overMoments(plan, counted, row.condition, column)
        return value === undefined ? [] : [[column, withoutNoise(value)]]
      }),
    ),
  }))
}

/** What differences are counted from: the baseline, else the condition with the smallest average. */
export function comparedWith(plan: Plan, averages: Map<string, number>): { condition: string; average: number } | undefined {
  const baseline = activeConditions(plan).find((condition) => condition.baseline && averages.has(condition.id))
  const known = [...averages].map(([condition, average]) => ({ condition, average }))
  if (baseline) return known.find(({ condition }) => condition === baseline.id)
  return known.sort((a, b) => a.average - b.average)[0]
}

function differenceFrom(
  compared: ReturnType<typeof comparedWith>,
  average: number | undefined,
  condition: string,
): number | undefined {
  if (!compared || average === undefined || compared.condition === condition) return undefined
  return average - compared.average
}

/** From the first to the last moment that has readings, averages of each moment taken first. */
function overMoments(plan: Plan, counted: Reading[], condition: string, column: WorkedOut): number | undefined {
  const whole = plan.kind === 'before-after' ? wholeTrials(counted) : counted
  const own = whole.filter((reading) => reading.condition === condition)
  const times = [...new Set(momentsOf(plan).map((moment) => moment.time ?? (moment.half === 'after' ? 1 : 0)))]
  const averages = times.flatMap((time) => {
    const here = momentsOf(plan).filter((moment) => (moment.time ?? (moment.half === 'after' ? 1 : 0)) === time)
    const values = own.filter(({ moment }) => here.some(({ id }) => id === moment)).map(({ value }) => value)
    return values.length === 0 ? [] : [{ time, average: mean(values) }]
  })
  const [first, last] = [averages[0], averages.at(-1)]
  if (!first || !last || first === last) return undefined
  const change = last.average - first.average
  if (column === 'change') return change
  if (column === 'per-time') return change / (last.time - first.time)
  if (column === 'per-cent-lost') return first.average > 0 ? (-change / first.average) * 100 : undefined
  return averages.reduce((sum, { average }) => sum + average, 0)
}
