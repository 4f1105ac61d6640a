import { mean } from 'simple-statistics'
import { activeConditions, type Plan, type Reading } from '../lesson'
import { countedFor, countsOf, momentsOf, testOf, kindOf, type Counted, type ResolvedMethod } from '../test'
import { unitOf, withoutNoise } from '../quantity'
import { currentReadings } from './readings'
import { middleOf, resultsAs, trialResults } from './results'

/** Columns that are worked out beside what counts: the difference from another condition, or what else the readings of a trial come to. */
export type WorkedOut = 'difference' | 'from-known' | 'of-known' | Exclude<Counted, 'reading'>

/** Figures that stand in the table beside the one that counts. */
const BESIDE = ['change', 'rate', 'of-100', 'total'] as const

/** What can be worked out for this kind of test, in the order of the table. */
export function workedOutFor(plan: Plan): WorkedOut[] {
  const { amount: method } = testOf(plan)
  if (!method) return []
  const beside = othersFor(plan, method)
  const difference: WorkedOut[] = beside.length === 0 && activeConditions(plan).length > 1 ? ['difference'] : []
  const known: WorkedOut[] =
    method.known === null || countsOf(plan) === 'until' ? [] : ['from-known', ...(method.known > 0 ? (['of-known'] as const) : [])]
  return [...beside, ...difference, ...known]
}

function othersFor(plan: Plan, method: ResolvedMethod): Exclude<Counted, 'reading'>[] {
  const counted = countsOf(plan)
  // What each reading used is no level that changes from one to the next.
  if (method.eachIs !== 'shown' && kindOf(plan).watches) return counted === 'total' ? [] : ['total']
  // A loss is the change with its sign turned.
  const said = counted === 'loss' ? 'change' : counted
  const possible = countedFor(plan)
  // One thing compared with itself is judged by its readings; what it lost of a hundred is worth knowing all the same.
  const share = possible.includes('loss') && unitOf(method.unit).dimension !== 'temperature'
  return BESIDE.filter((one) => (possible.includes(one) || (one === 'of-100' && share)) && one !== said)
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
  const moments = momentsOf(plan).map(({ id }) => id)
  const current = currentReadings(own).filter(({ practice, moment }) => !practice && moments.includes(moment))
  const order = ({ repeat, moment }: Reading) => repeat * (moments.length + 1) + moments.indexOf(moment)
  const rows = activeConditions(plan).map(({ id: condition }) => ({
    condition,
    readings: current.filter((reading) => reading.condition === condition).sort((a, b) => order(a) - order(b)),
    results: results.filter((result) => result.condition === condition).map(({ value }) => value),
  }))
  const averages = new Map(
    rows.flatMap((row) => (row.results.length > 0 ? [[row.condition, middleOf(plan, row.results)] as const] : [])),
  )
  const compared = comparedWith(plan, averages)
  return rows.map((row) => ({
    ...row,
    workedOut: Object.fromEntries(
      workedOutFor(plan).flatMap((column) => {
        const average = averages.get(row.condition)
        const value =
          column === 'difference'
            ? differenceFrom(compared, average, row.condition)
            : column === 'from-known' || column === 'of-known'
              ? besideKnown(plan, average, column)
              : averageAs(plan, own, row.condition, column)
        return value === undefined ? [] : [[column, withoutNoise(value)]]
      }),
    ),
  }))
}

/** How much more than the known value it is, or how many of a hundred of it. */
function besideKnown(plan: Plan, average: number | undefined, column: 'from-known' | 'of-known'): number | undefined {
  const known = testOf(plan).method?.known
  if (average === undefined || known === undefined || known === null) return undefined
  return column === 'from-known' ? average - known : (average / known) * 100
}

function averageAs(plan: Plan, readings: Reading[], condition: string, counted: Exclude<Counted, 'reading'>): number | undefined {
  const values = resultsAs(plan, readings, counted).filter((one) => one.condition === condition)
  return values.length === 0 ? undefined : mean(values.map(({ value }) => value))
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
