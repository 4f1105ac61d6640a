import Papa from 'papaparse'
import { CUPBOARD_COLUMNS, readCount, readPrice, type Thing } from '../kit'
import { NUMBER_UNITS, unitNamed, unitOf, type UnitCode } from '../quantity'
import { GUARDED, writeTable } from './spreadsheet'

type CupboardColumn = (typeof CUPBOARD_COLUMNS)[number]
const NEEDED: CupboardColumn[] = ['thing', 'stock']
const MOST_THINGS = 1000
const LONGEST = 200
/** More letters than so many rows with every cell filled can have. */
const MOST_LETTERS = 2_000_000

export interface CupboardProblem {
  code:
    'empty' | 'columns-missing' | 'too-many-rows' | 'not-a-table' | 'name-missing' | 'name-twice' | 'unknown-unit' | 'bad-number'
  /** Line of the file, the heading is line 1. */
  line: number
  column: string
  detail: string
}

/** What a row of the table says of a thing; what it has no column for is left as it is. */
export type NewThing = Pick<Thing, 'name' | 'stock'> & Partial<Omit<Thing, 'id'>>
export type ReadCupboard = { ok: true; things: NewThing[] } | { ok: false; problems: CupboardProblem[] }

/** The cupboard as CSV, one row a thing. */
export function writeCupboardCsv(things: Thing[]): string {
  const rows = things.map(({ name, unit, stock, place, minimum, pack, price }) => [
    name,
    unit === 'pieces' ? 'pieces' : unitOf(unit).symbol,
    String(stock),
    place,
    minimum === null ? '' : String(minimum),
    pack === null ? '' : String(pack),
    price === null ? '' : price.toFixed(2),
  ])
  return writeTable([[...CUPBOARD_COLUMNS], ...rows])
}

/**
 * A cupboard out of a CSV file, with a comma or a semicolon between the cells. Nothing is taken in when something is wrong; all
 * that is wrong comes back, with its line and column.
 * @example readCupboardCsv('name;count').problems[0] // => { code: 'columns-missing', column: 'thing, stock', … }
 */
export function readCupboardCsv(text: string): ReadCupboard {
  if (text.length > MOST_LETTERS) return failed({ code: 'too-many-rows', line: 1, column: '', detail: String(MOST_THINGS) })
  const { data, errors } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: 'greedy', preview: MOST_THINGS + 2 })
  const broken = errors.find(({ type }) => type === 'Quotes')
  if (broken) return failed({ code: 'not-a-table', line: (broken.row ?? 0) + 1, column: '', detail: '' })
  const [head = [], ...rows] = data
  const names = head.map((name) => name.trim().toLowerCase())
  const missing = NEEDED.filter((column) => !names.includes(column))
  if (missing.length > 0)
    return failed({ code: 'columns-missing', line: 1, column: missing.join(', '), detail: head.join(', ').slice(0, LONGEST) })
  if (rows.length === 0) return failed({ code: 'empty', line: 1, column: '', detail: '' })
  if (rows.length > MOST_THINGS) return failed({ code: 'too-many-rows', line: 1, column: '', detail: String(MOST_THINGS) })
  const problems: CupboardProblem[] = []
  const known = new Set<string>()
  const things = rows.map((row, place) => {
    const line = place + 2
    const cell = (column: CupboardColumn) => (row[names.indexOf(column)] ?? '').trim()
    const problem = (code: CupboardProblem['code'], column: CupboardColumn) =>
      void problems.push({ code, line, column, detail: cell(column).slice(0, LONGEST) })
    const name = cell('thing').replace(GUARDED, '').slice(0, LONGEST)
    if (name === '') problem('name-missing', 'thing')
    if (known.has(name.toLowerCase())) problem('name-twice', 'thing')
    known.add(name.toLowerCase())
    const unit = unitOfCell(cell('unit'))
    if (unit === undefined) problem('unknown-unit', 'unit')
    const number = (column: 'stock' | 'minimum' | 'pack' | 'price'): number | null => {
      if (cell(column) === '') return null
      const value = column === 'price' ? priceOf(cell(column)) : readCount(cell(column))
      if (value !== undefined) return value
      problem('bad-number', column)
      return null
    }
    const said = (column: CupboardColumn) => names.includes(column)
    return {
      name,
      stock: number('stock') ?? 0,
      ...(said('unit') && { unit: unit ?? 'pieces' }),
      ...(said('place') && { place: cell('place').replace(GUARDED, '').slice(0, LONGEST) }),
      ...(said('minimum') && { minimum: number('minimum') }),
      ...(said('pack') && { pack: number('pack') || null }),
      ...(said('price') && { price: number('price') }),
    }
  })
  return problems.length > 0 ? { ok: false, problems } : { ok: true, things }
}

function failed(problem: CupboardProblem): ReadCupboard {
  return { ok: false, problems: [problem] }
}

function priceOf(text: string): number | undefined {
  const read = readPrice(text)
  return read.ok ? read.value : undefined
}

function unitOfCell(text: string): UnitCode | undefined {
  if (text === '') return 'pieces'
  const named = unitNamed(text)
  return NUMBER_UNITS.find((code) => code === named || code === text)
}
