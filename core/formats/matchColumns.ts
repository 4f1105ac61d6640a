import { conditionName, letterOf, type Plan } from '../lesson'
import { measuredCards, momentsOf, resolved } from '../test'
import { unitNamed, unitOf, type UnitCode } from '../quantity'

/** What a column of a foreign table holds. A wide table has a column of results for each condition, or for each of its repeats. */
export interface ColumnMatch {
  role: 'skip' | 'group' | 'condition' | 'repeat' | 'moment' | 'value' | 'unit' | 'reason'
  /** Only for results of a wide table. */
  condition: string | null
  repeat: number | null
  /** Of which of several measures the results are; null for the first. */
  measure: string | null
}

export const COLUMN_ROLES: ColumnMatch['role'][] = ['group', 'condition', 'repeat', 'moment', 'value', 'unit', 'reason', 'skip']

const HEADINGS: Record<Exclude<ColumnMatch['role'], 'skip'>, RegExp> = {
  group: /^(group|team|table|who|name of group)\b/i,
  condition: /^(condition|we changed|what we changed|kind|test|jar|sample)\b/i,
  repeat: /^(repeat|trial|try|go|run|no\.?|number|#)$/i,
  moment: /^(moment|time of reading|when|before or after)\b/i,
  value: /^(value|result|reading|measurement|measured|answer)\b/i,
  unit: /^units?$/i,
  reason: /^(reason|why|note|comment|remark|set aside)\b/i,
}
/** This share of a column's cells has to be names of groups or conditions for it to be taken as such. */
const MOST_OF = 0.6
const SKIPPED: ColumnMatch = { role: 'skip', condition: null, repeat: null, measure: null }

/** Does the first row name the columns? It does unless it holds a reading of its own. */
export function hasHeading(plan: Plan, rows: string[][]): boolean {
  const [first = [], second = []] = rows
  const numbers = (row: string[]) => row.filter((cell) => /^\s*-?\d+(?:[.,]\d+)?\s*$/.test(cell)).length
  return numbers(first) === 0 || numbers(first) < numbers(second)
}

/**
 * What each column most likely holds, by its heading and by what stands in it.
 * @param rows the table with its heading
 * @example matchColumns(plan, [['Team', 'A1', 'A2'], ['Alder', '61', '58']]).map(({ role }) => role) // => ['group', 'value', 'value']
 */
export function matchColumns(plan: Plan, rows: string[][]): ColumnMatch[] {
  const heading = hasHeading(plan, rows) ? (rows[0] ?? []) : []
  const body = heading.length > 0 ? rows.slice(1) : rows
  const width = Math.max(0, ...rows.map((row) => row.length))
  const taken = new Set<string>()
  const once = (role: ColumnMatch['role'], measure: string | null = null): ColumnMatch => {
    if (taken.has(`${role}/${measure}`)) return SKIPPED
    taken.add(`${role}/${measure}`)
    return { ...SKIPPED, role, measure }
  }
  const matches = Array.from({ length: width }, (_, column): ColumnMatch => {
    const name = (heading[column] ?? '').trim()
    const cells = body.map((row) => (row[column] ?? '').trim()).filter((cell) => cell !== '')
    if (shareOf(cells, (cell) => groupNamed(plan, cell) !== undefined) >= MOST_OF) return once('group')
    if (shareOf(cells, (cell) => cell.length > 1 && conditionNamed(plan, cell) !== undefined) >= MOST_OF) return once('condition')
    if (shareOf(cells, (cell) => unitNamed(cell) !== undefined && !/\d/.test(cell)) >= MOST_OF) return once('unit')
    const wide = wideHeading(plan, name)
    const measure = measureInHeading(plan, name)
    if (wide) return { role: 'value', ...wide, measure: measure ?? null }
    const role = (Object.keys(HEADINGS) as (keyof typeof HEADINGS)[]).find((one) => HEADINGS[one].test(name))
    if (role && role !== 'value') return once(role)
    if (shareOf(cells, (cell) => conditionNamed(plan, cell) !== undefined) >= MOST_OF) return once('condition')
    if (role === 'value' || measure !== undefined) return once('value', measure)
    return SKIPPED
  })
  if (matches.some(({ role }) => role === 'value')) return matches
  // Nothing says where the results are: the last column of numbers that nothing else claims.
  const numbers = matches.findLastIndex(
    (match, column) =>
      match.role === 'skip' &&
      shareOf(
        body.map((row) => row[column] ?? ''),
        (cell) => /\d/.test(cell),
      ) >= MOST_OF,
  )
  return matches.map((match, column) => (column === numbers ? { ...SKIPPED, role: 'value' } : match))
}

/** The measure whose results a heading announces, by its name or by a unit that no other has; null for the first, undefined where it is none's. */
function measureInHeading(plan: Plan, heading: string): string | null | undefined {
  const cards = measuredCards(plan)
  const plain = heading.toLowerCase()
  const unit = cards.length > 1 ? unitInHeading(heading) : undefined
  const inUnit = unit ? cards.filter(({ method }) => unitOf(resolved(method).unit).dimension === unitOf(unit).dimension) : []
  const found =
    cards.find(({ name }) => name.trim() !== '' && plain.includes(name.trim().toLowerCase())) ??
    (inUnit.length === 1 ? inUnit[0] : undefined)
  if (!found) return undefined
  return found.id === plan.measured ? null : found.id
}

/** A unit named in a heading. `unitInHeading('Height (cm)') // 'cm'` */
export function unitInHeading(heading: string): UnitCode | undefined {
  const inside = /[([]\s*([^)\]]{1,12})\s*[)\]]/.exec(heading)?.[1] ?? /\bin\s+(\S{1,12})$/i.exec(heading)?.[1]
  return inside === undefined ? undefined : unitNamed(inside.trim())
}

export function groupNamed(plan: Plan, text: string): string | undefined {
  return plan.groups.find(({ name, id }) => sameText(name, text) || id === text)?.id
}

/** A condition by its name, its letter, or both. */
export function conditionNamed(plan: Plan, text: string): string | undefined {
  return plan.conditions.find((condition) => {
    const [letter, name] = [letterOf(plan, condition.id), conditionName(plan, condition)]
    return [letter, name, condition.label, `${letter} ${name}`].some((one) => sameText(one, text))
  })?.id
}

export function momentNamed(plan: Plan, text: string): string | undefined {
  const moments = momentsOf(plan)
  const plain = text.trim().toLowerCase()
  const exact = moments.find(({ id, half, name }) => id === plain || half === plain || name?.trim().toLowerCase() === plain)
  if (exact) return exact.id
  const number = /^(?:day\s*)?(\d+(?:[.,]\d+)?)\s*(?:min|minutes?|days?)?$/.exec(plain)?.[1]
  return number === undefined ? undefined : moments.find(({ time }) => time === Number(number.replace(',', '.')))?.id
}

/** A heading of a wide table. `wideHeading(plan, 'tissue 2') // { condition: 'tissue', repeat: 2 }` */
function wideHeading(plan: Plan, name: string): { condition: string; repeat: number | null } | undefined {
  if (name === '') return undefined
  const alone = conditionNamed(plan, name)
  if (alone) return { condition: alone, repeat: null }
  const [, text, number] = /^(.*?)[\s,:_-]*(?:repeat|trial|try|go)?[\s#]*(\d{1,2})$/i.exec(name) ?? []
  const condition = text ? conditionNamed(plan, text) : undefined
  return condition && number ? { condition, repeat: Number(number) } : undefined
}

function shareOf(cells: string[], is: (cell: string) => boolean): number {
  return cells.length === 0 ? 0 : cells.filter(is).length / cells.length
}

function sameText(a: string, b: string): boolean {
  const plain = (text: string) => text.trim().replace(/\s+/g, ' ').toLowerCase()
  return plain(a) === plain(b)
}
