import Joi from 'joi'
import {
  EVERY_KIND,
  ROW_KINDS,
  type AnyKind,
  type Column,
  type ListName,
  type NewRow,
  type RowKindName,
  type StationRow,
} from '../core/lesson'
import { isoTime, measureNumber, moment, planId, unit, uuid, whole } from './parts'

const MOST_AT_ONCE = 500
const SOMETHING = /\S/

/** @param written is it in a file: what was taken before is taken back */
const SCHEMA_OF: { [Is in Column['is']]: (column: Extract<Column, { is: Is }>, written: boolean) => Joi.Schema } = {
  'row-id': () => uuid,
  'plan-id': () => planId,
  'plan-ids': ({ most }) => Joi.array().items(planId.optional()).max(most).unique().required(),
  moment: () => moment,
  picture: () => uuid,
  text: ({ most, said, needed }, written) => {
    const text = Joi.string()
      .max(written ? most : (said ?? most))
      .required()
    return needed ? text.pattern(SOMETHING, 'words') : text.allow('')
  },
  unit: () => unit,
  number: () => measureNumber.required(),
  numbers: ({ most }) =>
    Joi.object()
      .pattern(/^[A-Za-z0-9_.-]{1,64}$/, measureNumber.required())
      .max(most)
      .required(),
  whole: ({ least, most }) => whole(least, most),
  'yes-or-no': () => Joi.boolean().required(),
  'one-of': ({ words }) =>
    Joi.string()
      .valid(...words)
      .required(),
  time: () => isoTime,
}

/** One column, as `AnyKind` has it: its `is` says which of the makers fits. */
function schemaOf(column: Column, written: boolean): Joi.Schema {
  const schema = (SCHEMA_OF[column.is] as (column: Column, written: boolean) => Joi.Schema)(column, written)
  if (column.later) return schema.allow(null).optional().default(null)
  return column.nullable ? schema.allow(null) : schema
}

/** A row of some of its columns; what is wrong with the whole is said at the column that is to blame. */
function rowSchema(kind: AnyKind, columns: readonly string[], written = false): Joi.ObjectSchema {
  const fields = Object.fromEntries(columns.map((name) => [name, schemaOf(kind.columns[name]!, written)]))
  return Joi.object(fields)
    .custom((row: object, helpers) => {
      const fault = kind.faultOf?.(row)
      if (fault === undefined) return row
      const { path, ancestors } = helpers.state
      return helpers.error('any.required', {}, helpers.state.localize!([...path!, fault], [row, ...(ancestors as object[])]))
    })
    .required()
}

/** What is sent to write rows of a list down: readings come several at once, everything else one by one. */
export type RowBody<Name extends RowKindName> = Name extends 'reading' ? { readings: NewRow<'reading'>[] } : NewRow<Name>
/** The same from a station. */
export type StationBody<Name extends RowKindName> = Name extends 'reading'
  ? { readings: StationRow<'reading'>[] }
  : StationRow<Name>

function bodySchema(kind: AnyKind, columns: readonly string[]): Joi.ObjectSchema {
  const row = rowSchema(kind, columns)
  if (kind.list !== ROW_KINDS.reading.list) return row
  return Joi.object({ readings: Joi.array().items(row.optional()).min(1).max(MOST_AT_ONCE).unique('id').required() }).required()
}

const ofEveryKind = <Made>(make: (kind: AnyKind) => Made) =>
  Object.fromEntries(EVERY_KIND.map((kind) => [kind.list, make(kind)])) as Record<ListName, Made>

/** What the desk may send, by list. */
export const deskBodySchemas = ofEveryKind((kind) =>
  bodySchema(
    kind,
    Object.keys(kind.columns).filter((column) => !kind.stamped.includes(column)),
  ),
)

/** What a station may send, by list. */
export const stationBodySchemas = ofEveryKind((kind) => bodySchema(kind, kind.station))

/** The lists of a lesson file. */
export const fileLists = ofEveryKind((kind) =>
  Joi.array()
    .items(rowSchema(kind, Object.keys(kind.columns), true).optional())
    .max(kind.most)
    .required(),
)
