import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate'
import { conditionName, letterOf, measuredCard, type LessonRecord, type Plan } from '../lesson'
import { unitOf } from '../quantity'
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
  const tables = [readingsTable(plan, file), conditionsTable(plan), groupsTable(plan), sentencesTable(plan, file)]
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
  const unit = unitOf(measuredCard(plan)?.method.unit ?? 'count').symbol
  return {
    name: 'readings',
    title: 'Every reading, also those set aside or put right later',
    key: 'id',
    fields: [
      text('group', 'Name of the group'),
      text('condition', 'What the factor was changed to'),
      { name: 'repeat', type: 'integer', description: 'Trial of this group and condition, 1 is the first' },
      text('moment', 'When and where in the trial, empty where it is read once'),
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

function sentencesTable(plan: Plan, { conclusions }: LessonRecord): Table {
  const nameOf = (id: string | null) => plan.groups.find((group) => group.id === id)?.name ?? ''
  return {
    name: 'sentences',
    title: 'Sentences of the groups and of the class',
    fields: [
      text('group', 'Whose sentence; empty for the class'),
      text('text', 'The words'),
      { name: 'hands', type: 'integer', description: 'Hands up for it' },
      text('agreed', 'yes where the class agreed on it'),
      { name: 'at', type: 'datetime', description: 'When it was written' },
    ],
    csv: writeTable([
      ['group', 'text', 'hands', 'agreed', 'at'],
      ...conclusions.map((one) => [
        nameOf(one.group),
        one.text,
        one.hands === null ? '' : String(one.hands),
        one.agreed ? 'yes' : 'no',
        one.at,
      ]),
    ]),
  }
}
