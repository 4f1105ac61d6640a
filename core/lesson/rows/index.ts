import { CONCLUSION } from './conclusion'
import { FAILURE } from './failure'
import { FEEDBACK } from './feedback'
import { IMPROVEMENT } from './improvement'
import { OBSERVATION } from './observation'
import { PLACING } from './placing'
import { PREDICTION } from './prediction'
import { READING } from './reading'
import { REMARK } from './remark'
import type { AnyKind, AnyRow, RowKind } from './rowKind'

/** Every kind of row that a lesson's record has. */
export const ROW_KINDS = {
  reading: READING,
  prediction: PREDICTION,
  conclusion: CONCLUSION,
  remark: REMARK,
  observation: OBSERVATION,
  feedback: FEEDBACK,
  improvement: IMPROVEMENT,
  placing: PLACING,
  failure: FAILURE,
} as const

type Kinds = typeof ROW_KINDS
export type RowKindName = keyof Kinds
export type RowOf<Name extends RowKindName> =
  Kinds[Name] extends RowKind<infer Row, string, string, infer _Stamped, infer _Station> ? Row : never
export type ListOf<Name extends RowKindName> = Kinds[Name]['list']
export type ListName = ListOf<RowKindName>

/** The kinds one after the other, for whoever goes over all of them. */
export const EVERY_KIND: readonly AnyKind<RowKindName, ListName>[] = Object.values(ROW_KINDS)

/** What somebody who writes a row says; source, time and what follows from the record are the server's. */
export type NewRow<Name extends RowKindName> = Name extends RowKindName ? Omit<RowOf<Name>, Kinds[Name]['stamped'][number]> : never
/** What a station says for its own group. */
export type StationRow<Name extends RowKindName> = Name extends RowKindName
  ? Pick<RowOf<Name>, Kinds[Name]['station'][number] & keyof RowOf<Name>>
  : never

export type NewReading = NewRow<'reading'>
export type NewPrediction = NewRow<'prediction'>
export type NewConclusion = NewRow<'conclusion'>
export type NewFailure = StationRow<'failure'>
export type NewFeedback = NewRow<'feedback'>
export type NewImprovement = NewRow<'improvement'>
export type NewObservation = NewRow<'observation'>
export type NewPlacing = NewRow<'placing'>
export type NewRemark = StationRow<'remark'>
/** What a station may say of its group's sentence. */
export type NewProposal = StationRow<'conclusion'>

/** Everything that is known of a lesson: its rows by list. A row is never changed: a correction is a further row. */
export type LessonRecord = { [Name in RowKindName as ListOf<Name>]: RowOf<Name>[] }

/** A row was written. */
export type RowEvent = { [Name in RowKindName]: { kind: Name } & { [Key in Name]: RowOf<Name> } }[RowKindName]

/** A record made of what is done with each kind of its rows. */
export function recordOf(rowsOf: (kind: AnyKind<RowKindName, ListName>) => object[]): LessonRecord {
  return Object.fromEntries(EVERY_KIND.map((kind) => [kind.list, rowsOf(kind)])) as unknown as LessonRecord
}

/** Nothing has happened yet. */
export const EMPTY_RECORD: LessonRecord = recordOf(() => [])

/** The rows of one kind, as any row. */
export function rowsOf(record: LessonRecord, { list }: AnyKind<RowKindName, ListName>): AnyRow[] {
  return record[list]
}
