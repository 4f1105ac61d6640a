import { sentenceStarters } from './starters'
import type { Table } from '../evidence'
import { testOf } from '../test'
import { gradeName } from './evidence'

/** No more ways to begin are offered for one of several tables. */
const MOST_STARTERS = 2

/**
 * What one of several tables is of: its series, its measure, or both; empty where there is one.
 * @example tableName(everyTable(plan, record)[0]!, everyTable(plan, record)) // => ''
 */
export function tableName({ plan, series }: Pick<Table, 'plan' | 'series'>, tables: Pick<Table, 'plan'>[]): string {
  if (tables.length < 2) return ''
  const several = new Set(tables.map((one) => one.plan.measured)).size > 1
  const measure = several ? testOf(plan).measure?.name.trim() || 'no name yet' : ''
  return [series?.name.trim(), measure].filter(Boolean).join(': ')
}

/**
 * How sure the class can be, table by table.
 * @example gradesInOne(everyTable(plan, record)) // => 'Clear'
 */
export function gradesInOne(tables: Table[]): string {
  if (tables.length < 2) return tables.map(({ evidence }) => gradeName(evidence)).join('')
  return tables.map((table) => `${tableName(table, tables)}: ${gradeName(table.evidence).toLowerCase()}`).join('; ')
}

/** Ways to begin the class's sentence, of each table some. */
export function startersOfEach(tables: Table[]): string[] {
  if (tables.length < 2) return tables.flatMap(({ plan, evidence }) => sentenceStarters(plan, evidence))
  return tables.flatMap((table) => {
    const starters = sentenceStarters(table.plan, table.evidence).slice(0, MOST_STARTERS)
    return table.series ? starters.map((starter) => `${table.series!.name.trim()}: ${starter}`) : starters
  })
}
