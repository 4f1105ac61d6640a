import Papa from 'papaparse'
import { conditionName, letterOf, MOST_TRIALS, type Plan, type Reading } from '../lesson'
import { atMoment, eachMeasure, markOf, momentOf, withoutMark, testOf, readEntry } from '../test'
import { readQuantity, unitNamed, unitOf, UNIT_CODES, isAmount, type UnitCode } from '../quantity'
import { GUARDED, writeTable, type Opener } from './spreadsheet'

const COLUMNS = [
  'group',
  'condition',
  'repeat',
  'moment',
  'measure',
  'value',
  'unit',
  'status',
  'reason',
  'practice',
  'confirmed',
  'entered',
  'by',
  'at',
  'id',
  'supersedes',
] as const
const NEEDED = ['group', 'condition', 'repeat', 'value', 'unit'] as const
const MOST_ROWS = 20_000
export type CsvProblemCode =
  | 'empty'
  | 'column-missing'
  | 'too-many-rows'
  | 'unknown-group'
  | 'unknown-condition'
  | 'bad-repeat'
  | 'unknown-moment'
  | 'unknown-measure'
  | 'bad-value'
  | 'unknown-unit'
  | 'wrong-kind-of-unit'
  | 'bad-status'
  | 'reason-missing'
  | 'bad-yes-or-no'
  | 'bad-id'
  | 'id-twice'
  | 'supersedes-unknown'
  | 'not-a-table'

export interface CsvProblem {
  code: CsvProblemCode
  /** Line of the file, the heading is line 1. */
  line: number
  column: string
  detail: string
}

export type ReadCsv = { ok: true; readings: Reading[] } | { ok: false; problems: CsvProblem[] }

/** All rows of the record as CSV, superseded ones too: one row a reading, with its unit, status and reason. */
export function writeReadingsCsv(plan: Plan, readings: Reading[], opener: Opener = 'spreadsheet'): string {
  const groups = new Map(plan.groups.map((group) => [group.id, group.name]))
  const conditions = new Map(plan.conditions.map((condition) => [condition.id, nameOnPaper(plan, condition.id)]))
  const superseded = new Set(readings.map((reading) => reading.supersedes))
  const rows = readings.map((reading) => ({
    ...reading,
    moment: withoutMark(reading.moment),
    measure: testOf(atMoment(plan, reading.moment)).measure?.name ?? '',
    group: groups.get(reading.group) ?? reading.group,
    condition: conditions.get(reading.condition) ?? reading.condition,
    status: superseded.has(reading.id) ? `${reading.status}, superseded` : reading.status,
    practice: yesOrNo(reading.practice),
    confirmed: yesOrNo(reading.confirmed),
    supersedes: reading.supersedes ?? '',
  }))
  return writeTable([[...COLUMNS], ...rows.map((row) => COLUMNS.map((column) => String(row[column] ?? '')))], opener)
}

/**
 * Reads readings back from CSV: comma, semicolon or tab between the cells, decimal point or comma, groups by name, conditions by
 * name or letter. Needed columns: group, condition, repeat, value, unit. All or nothing: the first twenty problems, with line and
 * column, or all readings.
 * @param newId makes ids for rows without one
 * @param now   ISO time for rows without one
 */
export function readReadingsCsv(plan: Plan, text: string, newId: () => string, now: string): ReadCsv {
  const parsed = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (heading) => heading.trim().toLowerCase(),
    preview: MOST_ROWS + 1,
    transform: (cell) => cell.trim().replace(GUARDED, ''),
  })
  const headings = parsed.meta.fields ?? []
  const missing = NEEDED.filter((column) => !headings.includes(column))
  if (missing.length > 0) {
    return { ok: false, problems: missing.map((column) => ({ code: 'column-missing', line: 1, column, detail: column })) }
  }
  const quotes = parsed.errors.find((error) => error.type === 'Quotes')
  if (quotes) return failed('not-a-table', (quotes.row ?? 0) + 2, '', '')
  if (parsed.data.length === 0) return failed('empty', 1, '', '')
  if (parsed.data.length > MOST_ROWS) return failed('too-many-rows', MOST_ROWS + 2, '', String(MOST_ROWS))

  const rows = parsed.data.map((row, place) => readRow(plan, row, place + 2, newId, now))
  const readings = rows.flatMap((row) => (row.ok ? [row.reading] : []))
  const problems = rows.flatMap((row) => (row.ok ? [] : [row.problem])).concat(findStrays(readings))
  return problems.length > 0 ? { ok: false, problems: problems.slice(0, 20) } : { ok: true, readings }
}

type Row = { ok: true; reading: Reading } | { ok: false; problem: CsvProblem }

function readRow(plan: Plan, row: Record<string, string>, line: number, newId: () => string, now: string): Row {
  const cell = (column: string) => row[column] ?? ''
  const bad = (code: CsvProblemCode, column: string): Row => ({
    ok: false,
    problem: { code, line, column, detail: cell(column).slice(0, 40) },
  })
  const group = plan.groups.find((one) => same(one.name, cell('group')) || one.id === cell('group'))
  if (!group) return bad('unknown-group', 'group')
  const condition = plan.conditions.find(
    ({ id }) => same(nameOnPaper(plan, id), cell('condition')) || same(letterOf(plan, id), cell('condition')),
  )
  if (!condition) return bad('unknown-condition', 'condition')
  const repeat = Number(cell('repeat'))
  if (!Number.isInteger(repeat) || repeat < 1 || repeat > MOST_TRIALS) return bad('bad-repeat', 'repeat')
  const own = measureNamed(plan, cell('measure'))
  if (!own) return bad('unknown-measure', 'measure')
  const moment = `${cell('moment')}${own.measured === null ? '' : markOf(plan, own.measured)}`
  if (!momentOf(plan, moment)) return bad('unknown-moment', 'moment')
  const unit = unitFrom(cell('unit'))
  if (!unit) return bad('unknown-unit', 'unit')
  const { method } = testOf(own)
  if (method && unitOf(method.unit).dimension !== unitOf(unit).dimension) return bad('wrong-kind-of-unit', 'unit')
  const value = readValue(own, cell('value'), unit)
  if (value === undefined) return bad('bad-value', 'value')
  const status =
    cell('status')
      .replace(/,? *superseded$/, '')
      .replace(' ', '-')
      .toLowerCase() || 'kept'
  if (status !== 'kept' && status !== 'set-aside') return bad('bad-status', 'status')
  if (status === 'set-aside' && cell('reason') === '') return bad('reason-missing', 'reason')
  const [practice, confirmed] = [fromYesOrNo(cell('practice')), fromYesOrNo(cell('confirmed'))]
  if (practice === undefined) return bad('bad-yes-or-no', 'practice')
  if (confirmed === undefined) return bad('bad-yes-or-no', 'confirmed')
  for (const column of ['id', 'supersedes']) if (cell(column) !== '' && !UUID.test(cell(column))) return bad('bad-id', column)
  return {
    ok: true,
    reading: {
      id: cell('id').toLowerCase() || newId(),
      group: group.id,
      condition: condition.id,
      repeat,
      moment,
      practice,
      value,
      unit,
      entered: (cell('entered') || cell('value')).slice(0, 60),
      status,
      reason: cell('reason').slice(0, 300),
      confirmed,
      supersedes: cell('supersedes').toLowerCase() || null,
      by: cell('by') === 'desk' || cell('by') === 'station' ? (cell('by') as Reading['by']) : 'import',
      at: !A_TIME.test(cell('at')) || Number.isNaN(Date.parse(cell('at'))) ? now : new Date(cell('at')).toISOString(),
    },
  }
}

/** The lesson as the measure of this name sees it; without a name, or where there is one only, the first. */
function measureNamed(plan: Plan, name: string): Plan | undefined {
  const views = eachMeasure(plan)
  if (name === '' || views.length === 1) return views[0]
  return views.find((view) => same(testOf(view).measure?.name ?? '', name))
}

function findStrays(readings: Reading[]): CsvProblem[] {
  const ids = new Set<string>()
  for (const [place, reading] of readings.entries()) {
    const at = { line: place + 2, detail: reading.id }
    if (ids.has(reading.id)) return [{ code: 'id-twice', column: 'id', ...at }]
    if (reading.supersedes !== null && !ids.has(reading.supersedes)) {
      return [{ code: 'supersedes-unknown', column: 'supersedes', ...at, detail: reading.supersedes }]
    }
    ids.add(reading.id)
  }
  return []
}

/** As everywhere else: version 4. */
const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/i
const LARGEST = 1e12
const A_TIME = /^(?:19|20|21)\d\d-/

function readValue(plan: Plan, text: string, unit: UnitCode): number | undefined {
  const read = isAmount(unit) ? readQuantity(text, { unit }) : readEntry(plan, text)
  return read.ok && Math.abs(read.value) <= LARGEST ? read.value : undefined
}

function unitFrom(text: string): UnitCode | undefined {
  return UNIT_CODES.find((code) => code === text) ?? unitNamed(text)
}

/** A condition in plain ASCII spacing, as a spreadsheet shows it. */
function nameOnPaper(plan: Plan, id: string): string {
  const condition = plan.conditions.find((one) => one.id === id)!
  return conditionName(plan, condition).replace(/\s+/g, ' ')
}

function same(a: string, b: string): boolean {
  return a.trim().toLowerCase() === b.replace(/\s+/g, ' ').toLowerCase()
}

function yesOrNo(value: boolean): string {
  return value ? 'yes' : 'no'
}

function fromYesOrNo(text: string): boolean | undefined {
  return text === '' || /^no$/i.test(text) ? false : /^yes$/i.test(text) ? true : undefined
}

function failed(code: CsvProblemCode, line: number, column: string, detail: string): ReadCsv {
  return { ok: false, problems: [{ code, line, column, detail }] }
}
