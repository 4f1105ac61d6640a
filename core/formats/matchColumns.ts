import { conditionName, letterOf, type Plan } from '../lesson'
import { measuredCards, resolved } from '../test'
import { momentNamed } from './momentNamed'
import { unitNamed, unitOf, type UnitCode } from '../quantity'

/** What a column of a foreign table holds. A wide table has a column of results for each condition, or for each of its repeats. */
export interface ColumnMatch {
  role: 'skip' | 'group' | 'condition' | 'repeat' | 'moment' | 'value' | 'unit' | 'reason'
  /** Only for results of a wide table. */
  condition: string | null
  repeat: number | null
  /** The moment of a trial at which all results of a column were read: "start", "left", "Friday". */
  moment: string | null
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
const SKIPPED: ColumnMatch = { role: 'skip', condition: null, repeat: null, moment: null, measure: null }

/** "61", "250 to 200". */
const NUMBER_OR_TWO = /^\s*-?\d+(?:[.,]\d+)?\s*(?:\S{0,4}\s*(?:\bto\b|->|→|–)\s*-?\d.*)?$/

/** Does the first row name the columns? It does unless it holds a reading of its own. */
export function hasHeading(plan: Plan, rows: string[][]): boolean {
  const [first = [], second = []] = rows
  // Headings can be numbers, too, such as days; where groups stand below one that is none, it is a heading.
  if (first.some((cell, column) => groupNamed(plan, cell) === undefined && groupNamed(plan, second[column] ?? '') !== undefined))
    return true
  const numbers = (row: string[]) => row.filter((cell) => NUMBER_OR_TWO.test(cell)).length
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

/** What a heading of a wide table says of the results below it. */
type Wide = Pick<ColumnMatch, 'condition' | 'repeat' | 'moment'>

/**
 * A heading of a wide table: a condition, a moment of its trials, or both.
 * `wideHeading(plan, 'tissue 2') // { condition: 'tissue', repeat: 2, moment: null }`
 */
function wideHeading(plan: Plan, name: string): Wide | undefined {
  if (name === '') return undefined
  const alone = conditionNamed(plan, name)
  if (alone) return { condition: alone, repeat: null, moment: null }
  const moment = momentNamed(plan, name)
  if (moment) return { condition: null, repeat: null, moment }
  const both = conditionAndMoment(plan, name)
  if (both) return { ...both, repeat: null }
  const [, text, number] = /^(.*?)[\s,:_-]*(?:repeat|trial|try|go)?[\s#]*(\d{1,2})$/i.exec(name) ?? []
  const condition = text ? conditionNamed(plan, text) : undefined
  return condition && number ? { condition, repeat: Number(number), moment: null } : undefined
}

/** "Tissue start", "left: card". */
function conditionAndMoment(plan: Plan, name: string): { condition: string; moment: string } | undefined {
  const words = name.split(/[\s,:_-]+/)
  const cuts = words.slice(1).map((_, place) => [words.slice(0, place + 1).join(' '), words.slice(place + 1).join(' ')] as const)
  for (const [before, after] of cuts)
    for (const [one, other] of [
      [before, after],
      [after, before],
    ] as const) {
      const [condition, moment] = [conditionNamed(plan, one), momentNamed(plan, other)]
      if (condition && moment) return { condition, moment }
    }
  return undefined
}

function shareOf(cells: string[], is: (cell: string) => boolean): number {
  return cells.length === 0 ? 0 : cells.filter(is).length / cells.length
}

function sameText(a: string, b: string): boolean {
  const plain = (text: string) => text.trim().replace(/\s+/g, ' ').toLowerCase()
  return plain(a) === plain(b)
}
