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
import { COLUMN_WORDS, PACKAGE_WORDS, resultValueWords, ROW_TITLES, valueWords, type RowColumn } from '../wording'
import type { LessonFile } from './lessonFile'
import { writeReadingsCsv } from './readingsCsv'
import { writeTable } from './spreadsheet'

const LESSON_INSIDE = 'lesson.beaker.json'
const MOST_UNZIPPED = 200_000_000

type FieldType = 'string' | 'integer' | 'number' | 'boolean' | 'datetime'

const GROUPS = 'groups'
const OF_A_GROUP = { fields: 'group', reference: { resource: GROUPS, fields: 'group' } }

interface Field {
  name: string
  type: FieldType
  description: string
  format?: 'any'
  trueValues?: string[]
  falseValues?: string[]
}

/** What has to be said of a type besides: our times have thousandths of a second, which are no default. */
const SAID_OF: Partial<Record<FieldType, Pick<Field, 'format' | 'trueValues' | 'falseValues'>>> = {
  datetime: { format: 'any' },
  boolean: { trueValues: ['yes'], falseValues: ['no'] },
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
      {
        profile: 'data-resource',
        name: 'lesson',
        path: LESSON_INSIDE,
        title: PACKAGE_WORDS.titles.lesson,
        format: 'json',
        mediatype: 'application/json',
        encoding: 'utf-8',
      },
      ...tables.map(({ name, title, fields, key }) => ({
        profile: 'tabular-data-resource',
        name,
        path: `${name}.csv`,
        title,
        format: 'csv',
        mediatype: 'text/csv',
        encoding: 'utf-8',
        dialect: { delimiter: ',', lineTerminator: '\r\n', quoteChar: '"', doubleQuote: true, header: true },
        schema: {
          fields,
          missingValues: [''],
          ...(key === undefined ? {} : { primaryKey: key }),
          ...(name !== GROUPS && fields.some((field) => field.name === 'group') ? { foreignKeys: [OF_A_GROUP] } : {}),
        },
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

const programTable = (rows: string[][]): string => writeTable(rows, 'program')

/** The fields of a table by their words; what is no text says so. */
function fieldsOf(words: Record<string, string>, types: Record<string, FieldType> = {}): Field[] {
  return Object.entries(words).map(([name, description]) => fieldOf(name, types[name] ?? 'string', description))
}

function fieldOf(name: string, type: FieldType, description: string): Field {
  return { name, type, ...SAID_OF[type], description }
}

function readingsTable(plan: Plan, { readings }: LessonRecord): Table {
  const words = { ...PACKAGE_WORDS.readings, value: valueWords(unitOf(testOf(plan).unit).symbol) }
  return {
    name: 'readings',
    title: PACKAGE_WORDS.titles.readings,
    key: 'id',
    fields: fieldsOf(words, { repeat: 'integer', value: 'number', practice: 'boolean', confirmed: 'boolean', at: 'datetime' }),
    csv: writeReadingsCsv(plan, readings, 'program'),
  }
}

/** What every trial came to, as the class lets it count, measure by measure. */
function resultsOfTrials(plan: Plan, { readings }: LessonRecord): Table {
  const units = eachMeasure(plan).map((view) => unitOf(resultUnit(view)).symbol || 'counts')
  const name = (id: string) => plan.conditions.find((one) => one.id === id)
  return {
    name: 'results',
    title: PACKAGE_WORDS.titles.results,
    fields: fieldsOf({ ...PACKAGE_WORDS.results, value: resultValueWords(units) }, { repeat: 'integer', value: 'number' }),
    csv: programTable([
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
    title: PACKAGE_WORDS.titles.conditions,
    key: 'letter',
    fields: fieldsOf(PACKAGE_WORDS.conditions, { baseline: 'boolean', tested: 'boolean' }),
    csv: programTable([
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
    name: GROUPS,
    title: PACKAGE_WORDS.titles.groups,
    key: 'group',
    fields: fieldsOf(PACKAGE_WORDS.groups, { seats: 'integer' }),
    csv: programTable([['group', 'shape', 'seats'], ...plan.groups.map(({ name, shape, seats }) => [name, shape, String(seats)])]),
  }
}

const FIELD_TYPES: Partial<Record<Column['is'], Field['type']>> = {
  whole: 'integer',
  number: 'number',
  time: 'datetime',
  'yes-or-no': 'boolean',
}

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
    title: ROW_TITLES[kind.kind as Exclude<RowKindName, 'reading'>],
    key: 'id',
    fields: columns.map(([name, { is }]) => fieldOf(name, FIELD_TYPES[is] ?? 'string', COLUMN_WORDS[name as RowColumn])),
    csv: programTable([
      columns.map(([name]) => name),
      ...rowsOf(record, kind).map((row) => columns.map(([name]) => cell(name, (row as unknown as Record<string, unknown>)[name]))),
    ]),
  }
}
