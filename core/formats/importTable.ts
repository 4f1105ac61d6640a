import { activeConditions, MOST_TRIALS, type Plan, type Reading } from '../lesson'
import { forMeasure, momentsOf, testOf, readEntry, writesStartAndFinish } from '../test'
import { unitNamed, unitOf, type ReadErrorCode, type UnitCode } from '../quantity'
import { cellKey, currentReadings } from '../record'
import { conditionNamed, groupNamed, hasHeading, unitInHeading, type ColumnMatch } from './matchColumns'
import { momentNamed } from './momentNamed'

export interface ImportChoices {
  matches: ColumnMatch[]
  /** Unit of bare numbers where neither cell nor heading says one. */
  unit: UnitCode
  /** Whose the rows are, where no column says so. */
  group: string | null
}

export type SkipCode =
  | 'no-value'
  | 'no-group'
  | 'unknown-group'
  | 'no-condition'
  | 'unknown-condition'
  | 'bad-repeat'
  | 'unknown-moment'
  | 'no-moment'
  | 'unknown-unit'
  | 'wrong-kind-of-unit'
  | 'bad-value'
  | 'place-taken'
  | 'there-already'

export interface ImportCell {
  /** Line of the table, its heading is line 1. */
  line: number
  column: number
  text: string
  /** What it becomes, or why it is passed over. */
  reading: ImportReading | undefined
  skip: { code: SkipCode; detail: string } | undefined
}

export type ImportReading = Pick<
  Reading,
  'group' | 'condition' | 'repeat' | 'moment' | 'value' | 'unit' | 'entered' | 'status' | 'reason'
>

const LONGEST_ENTRY = 60

const CULPRITS: Partial<Record<SkipCode, ColumnMatch['role']>> = {
  'no-group': 'group',
  'unknown-group': 'group',
  'no-condition': 'condition',
  'unknown-condition': 'condition',
  'bad-repeat': 'repeat',
  'no-moment': 'moment',
  'unknown-moment': 'moment',
  'unknown-unit': 'unit',
  'no-value': 'value',
  'bad-value': 'value',
  'wrong-kind-of-unit': 'value',
}

/**
 * In which column of its line a cell would have to be put right to be taken in; undefined where that is no question of the table.
 * @example culpritColumn({ line: 2, column: 1, text: '5', reading: undefined, skip: { code: 'bad-value', detail: '5' } }, []) // => 1
 */
export function culpritColumn({ column, skip }: ImportCell, matches: ColumnMatch[]): number | undefined {
  const role = skip && CULPRITS[skip.code]
  if (role === undefined) return undefined
  if (role === 'value') return column
  const at = matches.findIndex((match) => match.role === role)
  if (at >= 0) return at
  // A unit can stand beside its number.
  return role === 'unit' ? column : undefined
}

/**
 * What would be taken in from a table, cell by cell, and what not and why. Nothing is altered: numbers are read as people write them, decimal commas
 * and units included.
 * @param readings what is in the record already
 * @example readImport(plan, [['Team', 'tissue'], ['Alder', '6,1 cm']], choicesFor([['Team', 'tissue']]), [])[0]!.reading
 *   // => { group: 'g1', condition: 'tissue', repeat: 1, value: 61, unit: 'mm', entered: '6,1 cm', … }
 */
export function readImport(plan: Plan, rows: string[][], choices: ImportChoices, readings: Reading[]): ImportCell[] {
  const heading = hasHeading(plan, rows) ? (rows[0] ?? []) : []
  const first = heading.length > 0 ? 1 : 0
  const kept = new Map(
    currentReadings(readings)
      .filter(({ status }) => status === 'kept')
      .map((one) => [cellKey(one), one]),
  )
  const counted = new Map<string, number>()
  const startAndFinish = writesStartAndFinish(readings)
  return rows.slice(first).flatMap((row, place) => {
    const columns = choices.matches.flatMap((match, column) => (match.role === 'value' ? [column] : []))
    return columns.flatMap((column): ImportCell[] => {
      const text = (row[column] ?? '').trim()
      const cell = { line: place + first + 1, column, text: text.slice(0, LONGEST_ENTRY) }
      // An empty place of a wide table says nothing; an empty row neither.
      if (text === '' && (columns.length > 1 || row.every((one) => one.trim() === ''))) return []
      return partsOf(plan, choices.matches[column]!, choices.matches, text).map(({ written, moment }): ImportCell => {
        const read = readCell(plan, { row, column, text: written, moment }, heading, { ...choices, startAndFinish }, counted)
        if ('code' in read) return { ...cell, reading: undefined, skip: read }
        const there = read.status === 'kept' ? kept.get(cellKey({ ...read, practice: false })) : undefined
        if (!there) return { ...cell, reading: read, skip: undefined }
        const same = there.value === read.value && there.unit === read.unit
        return { ...cell, reading: undefined, skip: { code: same ? 'there-already' : 'place-taken', detail: there.entered } }
      })
    })
  })
}

/** "250 to 200" in a plan that reads before and after: two readings, as they are written. */
function partsOf(
  plan: Plan,
  { moment }: ColumnMatch,
  matches: ColumnMatch[],
  text: string,
): { written: string; moment: string | null }[] {
  const [, start, left] = /^(.*\d.*?)\s*(?:\bto\b|->|\u2192|\u2013)\s*(.*\d.*)$/i.exec(text) ?? []
  const halves = momentsOf(plan).map(({ half }) => half)
  const bothAtOnce = moment === null && !matches.some(({ role }) => role === 'moment') && halves.join() === 'before,after'
  if (!bothAtOnce || start === undefined || left === undefined) return [{ written: text, moment }]
  const [before, after] = momentsOf(plan)
  return [
    { written: start, moment: before!.id },
    { written: left, moment: after!.id },
  ]
}

/** One reading that a cell holds: its line and column, its own text, and the moment that its column says. */
interface CellRead {
  row: string[]
  column: number
  text: string
  moment: string | null
}

function readCell(
  whole: Plan,
  { row, column, text, moment: atMoment }: CellRead,
  heading: string[],
  { matches, unit: usual, group: forAll, startAndFinish }: ImportChoices & { startAndFinish: boolean },
  counted: Map<string, number>,
): ImportReading | { code: SkipCode; detail: string } {
  const of = (role: ColumnMatch['role']) => {
    const at = matches.findIndex((match) => match.role === role)
    return at < 0 ? undefined : (row[at] ?? '').trim()
  }
  const match = matches[column]!
  const plan = forMeasure(whole, match.measure)
  if (text === '') return { code: 'no-value', detail: '' }

  const groupText = of('group')
  const group = groupText === undefined ? (forAll ?? undefined) : groupNamed(plan, groupText)
  if (group === undefined) return groupText ? { code: 'unknown-group', detail: groupText } : { code: 'no-group', detail: '' }

  const conditionText = of('condition')
  // One thing that is looked at needs no column.
  const [only, ...others] = activeConditions(plan)
  const condition =
    match.condition ??
    (conditionText === undefined ? (others.length === 0 ? only?.id : undefined) : conditionNamed(plan, conditionText))
  if (condition === undefined)
    return conditionText ? { code: 'unknown-condition', detail: conditionText } : { code: 'no-condition', detail: '' }

  const moments = momentsOf(plan)
  const momentText = of('moment')
  // Of another measure its moments have names of their own, in the same order.
  const place = momentsOf(whole).findIndex(({ id }) => id === atMoment)
  const named = momentText === undefined ? undefined : momentNamed(plan, momentText)
  const moment = moments.length === 1 ? moments[0]!.id : (moments[place]?.id ?? named)
  if (moment === undefined) return momentText ? { code: 'unknown-moment', detail: momentText } : { code: 'no-moment', detail: '' }

  const repeatText = match.repeat === null ? of('repeat') : String(match.repeat)
  // Without a column the trials of a condition are counted as they come.
  const key = `${group}/${condition}/${moment}`
  const repeat = repeatText === undefined || repeatText === '' ? (counted.get(key) ?? 0) + 1 : Number(repeatText)
  if (!Number.isInteger(repeat) || repeat < 1 || repeat > MOST_TRIALS)
    return { code: 'bad-repeat', detail: repeatText ?? String(repeat) }
  counted.set(key, repeat)

  const value = readNumber(
    plan,
    text,
    of('unit'),
    unitInHeading(heading[column] ?? ''),
    match.measure === null ? usual : (testOf(plan).method?.unit ?? usual),
    startAndFinish,
  )
  if ('code' in value) return value
  const reason = (of('reason') ?? '').slice(0, 300)
  const aside = /^(set aside|not counted|odd|wrong|leave out)\b/i.test(reason)
  return {
    group,
    condition,
    repeat,
    moment,
    ...value,
    entered: text.slice(0, LONGEST_ENTRY),
    status: aside ? 'set-aside' : 'kept',
    reason: aside ? reason : '',
  }
}

const UNIT_ERRORS: ReadErrorCode[] = ['wrong-kind-of-unit', 'unknown-unit']

function readNumber(
  plan: Plan,
  text: string,
  unitText: string | undefined,
  fromHeading: UnitCode | undefined,
  usual: UnitCode,
  startAndFinish: boolean,
): { value: number; unit: UnitCode } | { code: SkipCode; detail: string } {
  const { method, way } = testOf(plan)
  if (method && !way.isAmount) {
    const entry = readEntry(plan, text)
    return entry.ok ? { value: entry.value, unit: entry.unit } : { code: 'bad-value', detail: text.slice(0, LONGEST_ENTRY) }
  }
  const named = unitText ? unitNamed(unitText) : undefined
  if (unitText && !named) return { code: 'unknown-unit', detail: unitText }
  const unit = named ?? fromHeading ?? usual
  if (method && unitOf(unit).dimension !== unitOf(method.unit).dimension) return { code: 'wrong-kind-of-unit', detail: unit }
  const read = readEntry(plan, text, { unit, startAndFinish })
  if (read.ok) return { value: read.value, unit: read.unit }
  const code = UNIT_ERRORS.some((code) => code === read.code) ? (read.code as 'unknown-unit') : 'bad-value'
  return { code, detail: text.slice(0, LONGEST_ENTRY) }
}
