import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate'
import {
  conditionName,
  EVERY_KIND,
  letterOf,
  rowsOf,
  WHOLE_CLASS,
  type AnyKind,
  type Column,
  type LessonRecord,
  type ListName,
  type Plan,
  type RowKindName,
} from '../lesson'
import { countsOf, eachMeasure, resultUnit, testOf } from '../test'
import { unitOf } from '../quantity'
import { trialResults } from '../record'
import type { LessonFile } from './lessonFile'
import { writeReadingsCsv } from './readingsCsv'
import { writeTable } from './spreadsheet'

const LESSON_INSIDE = 'lesson.beaker.json'
const MOST_UNZIPPED = 200_000_000

interface Field {
  name: string
  type: 'string' | 'integer' | 'number' | 'boolean' | 'datetime'
  description: string
}

/**
 * The lesson as a data package: tables as CSV with a description of every column, as the Frictionless Data Package specification (version 1) has it, and the
 * lesson file itself, so that nothing is lost on the way back.
 */
export function writeDataPackage(file: LessonFile): Uint8Array {
  const { plan } = file
  const others = EVERY_KIND.filter((kind) => kind.kind !== 'reading').map((kind) => rowsTable(plan, file, kind))
  const tables = [readingsTable(plan, file), resultsOfTrials(plan, file), conditionsTable(plan), groupsTable(plan), ...others]
  const description = {
    profile: 'tabular-data-package',
    name: 'jolly-beaker-lesson',
    title: plan.title || 'A fair-test lesson',
    created: file.savedAt,
    resources: [
      ...tables.map(({ name, title, fields, key }) => ({
        profile: 'tabular-data-resource',
        name,
        path: `${name}.csv`,
        title,
        format: 'csv',
        mediatype: 'text/csv',
        encoding: 'utf-8',
        dialect: { delimiter: ',', lineTerminator: '\r\n', quoteChar: '"', doubleQuote: true, header: true },
        schema: { fields, missingValues: [''], ...(key === undefined ? {} : { primaryKey: key }) },
      })),
    ],
  }
  return zipSync({
    'datapackage.json': strToU8(JSON.stringify(description, null, 2)),
    ...Object.fromEntries(tables.map(({ name, csv }) => [`${name}.csv`, strToU8(csv)])),
    [LESSON_INSIDE]: strToU8(JSON.stringify(file)),
  })
}

/** The lesson file out of a data package; undefined when it is not one. */
export function lessonOfPackage(bytes: Uint8Array): string | undefined {
  const found = unzipOne(bytes, LESSON_INSIDE)
  return found && strFromU8(found)
}

/** One file out of a zip; undefined when it is not there, the zip is damaged, or it would grow beyond all bounds. */
function unzipOne(bytes: Uint8Array, name: string): Uint8Array | undefined {
  try {
    return unzipSync(bytes, { filter: (file) => file.name === name && file.originalSize <= MOST_UNZIPPED })[name]
  } catch {
    return undefined
  }
}

interface Table {
  name: string
  title: string
  key?: string
  fields: Field[]
  csv: string
}

const text = (name: string, description: string): Field => ({ name, type: 'string', description })

function readingsTable(plan: Plan, { readings }: LessonRecord): Table {
  const unit = unitOf(testOf(plan).unit).symbol
  return {
    name: 'readings',
    title: 'Every reading, also those set aside or put right later',
    key: 'id',
    fields: [
      text('group', 'Name of the group'),
      text('condition', 'What the factor was changed to'),
      { name: 'repeat', type: 'integer', description: 'Trial of this group and condition, 1 is the first' },
      text('moment', 'When and where in the trial, empty where it is read once'),
      text('measure', 'What was measured'),
      {
        name: 'value',
        type: 'number',
        description: `The reading, in the unit beside it; the plan measures in ${unit || 'counts'}`,
      },
      text('unit', 'Unit of the value'),
      text('status', 'kept or set-aside; superseded where a later row takes its place'),
      text('reason', 'Why it was set aside or put right'),
      text('practice', 'yes for a practice trial, which never counts'),
      text('confirmed', 'yes where somebody was asked about it and kept it'),
      text('entered', 'The words as they were entered'),
      text('by', 'desk, station or import'),
      { name: 'at', type: 'datetime', description: 'When it was entered' },
      text('id', 'Identifier of the row'),
      text('supersedes', 'Identifier of the row whose place it takes'),
    ],
    csv: writeReadingsCsv(plan, readings),
  }
}

/** What every trial came to, as the class lets it count, measure by measure. */
function resultsOfTrials(plan: Plan, { readings }: LessonRecord): Table {
  const units = eachMeasure(plan).map((view) => unitOf(resultUnit(view)).symbol || 'counts')
  const name = (id: string) => plan.conditions.find((one) => one.id === id)
  return {
    name: 'results',
    title: 'What every trial came to, as the class lets it count',
    fields: [
      text('group', 'Name of the group'),
      text('condition', 'What the factor was changed to'),
      { name: 'repeat', type: 'integer', description: 'Trial of this group and condition, 1 is the first' },
      text('measure', 'What was measured'),
      { name: 'value', type: 'number', description: `What counts, in ${units.join(' or ')}; empty where it was not reached` },
      text('unit', 'Unit of the value'),
      text(
        'counts',
        'Which figure of the trial it is: reading, last, change, loss, of-100, rate, total, average, highest or until',
      ),
    ],
    csv: writeTable([
      ['group', 'condition', 'repeat', 'measure', 'value', 'unit', 'counts'],
      ...eachMeasure(plan).flatMap((view) =>
        trialResults(view, readings).map(({ group, condition, repeat, value }) => {
          const found = name(condition)
          return [
            plan.groups.find((one) => one.id === group)?.name ?? '',
            found ? conditionName(plan, found) : '',
            String(repeat),
            testOf(view).measure?.name ?? '',
            Number.isFinite(value) ? String(value) : '',
            unitOf(resultUnit(view)).symbol,
            countsOf(view),
          ]
        }),
      ),
    ]),
  }
}

function conditionsTable(plan: Plan): Table {
  return {
    name: 'conditions',
    title: 'What the factor was changed to',
    key: 'letter',
    fields: [
      text('letter', 'Letter on board, tray and graph'),
      text('name', 'Name of the condition'),
      text('baseline', 'yes for the baseline'),
      text('tested', 'no where it was left out'),
    ],
    csv: writeTable([
      ['letter', 'name', 'baseline', 'tested'],
      ...plan.conditions.map((one) => [
        letterOf(plan, one.id),
        conditionName(plan, one),
        one.baseline ? 'yes' : 'no',
        one.leftOut ? 'no' : 'yes',
      ]),
    ]),
  }
}

function groupsTable(plan: Plan): Table {
  return {
    name: 'groups',
    title: 'The groups; children are never named',
    key: 'group',
    fields: [
      text('group', 'Name of the group'),
      text('shape', 'Its badge'),
      { name: 'seats', type: 'integer', description: 'Children in it' },
    ],
    csv: writeTable([['group', 'shape', 'seats'], ...plan.groups.map(({ name, shape, seats }) => [name, shape, String(seats)])]),
  }
}

const ROW_TITLES: Record<Exclude<RowKindName, 'reading'>, string> = {
  prediction: 'What groups and the class expected',
  conclusion: 'Sentences of the groups and of the class',
  remark: 'What groups noticed, guessed and wondered',
  observation: 'What groups saw while they tested',
  improvement: 'What groups changed for each try, and why',
  feedback: 'What groups told each other after a visit: one thing well, one to work on',
  placing: 'Rows that the plan had no place for any more, and where the teacher put each',
}

/** What the columns of rows hold, whichever kind they are of. */
const COLUMN_WORDS: Record<string, string> = {
  id: 'Identifier of the row',
  of: 'Which kind of row was given a place',
  row: 'Identifier of the row that was given a place',
  to: 'Group that it was given to; empty where its group stands',
  aside: 'Whether it was put aside',
  group: 'Name of the group; empty for the class',
  condition: 'What the factor was changed to; empty where it belongs to none',
  repeat: 'Trial of this group and condition, 1 is the first',
  as: 'What was predicted: an order, numbers, a line, a change, or hands up',
  order: 'Conditions, the most first, as a list in JSON',
  values: 'Numbers by condition or moment, in JSON',
  reason: 'Why',
  late: 'yes where it was made after the first reading that counts',
  from: 'Identifier of the row that it grew from',
  text: 'The words',
  hands: 'Hands up for it',
  agreed: 'yes where the class agreed on it',
  list: 'noticed, maybe or wondered',
  kind: 'words, sketch or photo',
  what: 'What was changed',
  why: 'Why it was thought to help',
  about: 'Name of the group that it is about',
  well: 'One thing done well',
  next: 'One thing to work on',
  picture: 'Identifier of the picture in the lesson file',
  by: 'desk, station or import',
  at: 'When it was written',
}

const FIELD_TYPES: Partial<Record<Column['is'], Field['type']>> = { whole: 'integer', number: 'number', time: 'datetime' }

/** The rows of one kind as a table, a column for each of its own; readings have a table that also comes in again. */
function rowsTable(plan: Plan, record: LessonRecord, kind: AnyKind<RowKindName, ListName>): Table {
  const columns = Object.entries(kind.columns)
  const names = new Map([...plan.groups.map(({ id, name }) => [id, name] as const), [WHOLE_CLASS, '']])
  const conditions = new Map(plan.conditions.map((condition) => [condition.id, conditionName(plan, condition)]))
  const cell = (name: string, value: unknown): string => {
    if (value === null) return ''
    if (name === 'group' || name === 'about') return names.get(value as string) ?? ''
    if (name === 'condition') return conditions.get(value as string) ?? ''
    if (typeof value === 'boolean') return value ? 'yes' : 'no'
    return typeof value === 'object' ? JSON.stringify(value) : String(value)
  }
  return {
    name: kind.list,
    title: ROW_TITLES[kind.kind as keyof typeof ROW_TITLES],
    key: 'id',
    fields: columns.map(([name, { is }]) => ({ name, type: FIELD_TYPES[is] ?? 'string', description: COLUMN_WORDS[name]! })),
    csv: writeTable([
      columns.map(([name]) => name),
      ...rowsOf(record, kind).map((row) => columns.map(([name]) => cell(name, (row as unknown as Record<string, unknown>)[name]))),
    ]),
  }
}
