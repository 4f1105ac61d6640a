import {
  PLAN_VERSION,
  WHOLE_CLASS,
  type Conclusion,
  type LessonRecord,
  type Observation,
  type Plan,
  type Prediction,
  type Reading,
  type SaidRemark,
} from '../lesson'
import { migratePlan, migrateRows } from './migrate'

export const LESSON_FILE_FORMAT = 'jolly-beaker-lesson'

/** A lesson as it is saved: see docs/formats.md. */
export interface LessonFile extends LessonRecord {
  format: typeof LESSON_FILE_FORMAT
  schemaVersion: number
  savedAt: string
  plan: Plan
  readings: Reading[]
  predictions: Prediction[]
  conclusions: Conclusion[]
  remarks: SaidRemark[]
  observations: Observation[]
  pictures: FilePicture[]
}

/** A picture of the hook, of a word or of an observation, as a `data:` address in base 64. */
export interface FilePicture {
  id: string
  data: string
}

export type FileProblem =
  | { code: 'not-json'; place: string }
  | { code: 'foreign'; place: string }
  | { code: 'newer'; place: string }
  | { code: 'broken'; place: string }

export type OpenedFile = { ok: true; content: unknown } | ({ ok: false } & FileProblem)

/** A lesson as one document. */
export function writeLessonFile(plan: Plan, record: LessonRecord, pictures: FilePicture[], savedAt: string): LessonFile {
  const { readings, predictions, conclusions, remarks, observations } = record
  const rows = { readings, predictions, conclusions, remarks, observations, pictures }
  return { format: LESSON_FILE_FORMAT, schemaVersion: PLAN_VERSION, savedAt, plan, ...rows }
}

/**
 * Reads the text of a lesson file as far as the format goes: is it JSON, is it one of ours, is it not newer than this
 * version. An older plan is brought up to date. The shape itself is then checked against the schemas.
 * @example openLessonFile('{"format":"other"}') // { ok: false, code: 'foreign', place: 'format' }
 */
export function openLessonFile(text: string): OpenedFile {
  let content: unknown
  try {
    content = JSON.parse(text)
  } catch (error) {
    return { ok: false, code: 'not-json', place: placeOfSyntaxError(text, error) }
  }
  if (!isRecord(content) || content.format !== LESSON_FILE_FORMAT) return { ok: false, code: 'foreign', place: 'format' }
  if (typeof content.schemaVersion !== 'number') return { ok: false, code: 'broken', place: 'schemaVersion' }
  if (content.schemaVersion > PLAN_VERSION) return { ok: false, code: 'newer', place: 'schemaVersion' }
  const rows = migrateRows(content, content.schemaVersion)
  return { ok: true, content: { ...rows, plan: migratePlan(content.plan, content.schemaVersion), schemaVersion: PLAN_VERSION } }
}

/**
 * What a well-shaped file still can have wrong: rows that refer to nothing, the same id twice.
 * @returns the first problem, or undefined
 */
export function strayReference(file: LessonFile): FileProblem | undefined {
  const groups = new Set(file.plan.groups.map((group) => group.id))
  const conditions = new Set(file.plan.conditions.map((condition) => condition.id))
  const earlier = new Set<string>()
  for (const [place, reading] of file.readings.entries()) {
    const at = `readings[${place}]`
    if (earlier.has(reading.id)) return { code: 'broken', place: `${at}.id` }
    if (!groups.has(reading.group)) return { code: 'broken', place: `${at}.group` }
    if (!conditions.has(reading.condition)) return { code: 'broken', place: `${at}.condition` }
    if (reading.supersedes !== null && !earlier.has(reading.supersedes)) return { code: 'broken', place: `${at}.supersedes` }
    earlier.add(reading.id)
  }
  for (const [place, prediction] of file.predictions.entries()) {
    const at = `predictions[${place}]`
    if (!groups.has(prediction.group) && prediction.group !== WHOLE_CLASS) return { code: 'broken', place: `${at}.group` }
    if (prediction.order.some((id) => !conditions.has(id))) return { code: 'broken', place: `${at}.order` }
  }
  for (const [place, { group }] of file.conclusions.entries()) {
    if (group !== null && !groups.has(group)) return { code: 'broken', place: `conclusions[${place}].group` }
  }
  for (const [place, remark] of file.remarks.entries()) {
    if (!groups.has(remark.group)) return { code: 'broken', place: `remarks[${place}].group` }
  }
  for (const [place, { group, condition }] of file.observations.entries()) {
    if (!groups.has(group)) return { code: 'broken', place: `observations[${place}].group` }
    if (condition !== null && !conditions.has(condition)) return { code: 'broken', place: `observations[${place}].condition` }
  }
  return undefined
}

/** The same rows under new ids, so that a lesson can be opened beside itself. The plan's own ids stay. */
export function withFreshIds(record: LessonRecord, newId: () => string): LessonRecord {
  const fresh = new Map(record.readings.map((reading) => [reading.id, newId()]))
  const freshSentences = new Map(record.conclusions.map((conclusion) => [conclusion.id, newId()]))
  return {
    readings: record.readings.map((reading) => ({
      ...reading,
      id: fresh.get(reading.id)!,
      supersedes: reading.supersedes === null ? null : (fresh.get(reading.supersedes) ?? null),
    })),
    predictions: record.predictions.map((prediction) => ({ ...prediction, id: newId() })),
    conclusions: record.conclusions.map((conclusion) => ({
      ...conclusion,
      id: freshSentences.get(conclusion.id)!,
      from: freshSentences.get(conclusion.from ?? '') ?? null,
    })),
    remarks: record.remarks.map((remark) => ({ ...remark, id: newId() })),
    observations: record.observations.map((observation) => ({ ...observation, id: newId() })),
  }
}

function placeOfSyntaxError(text: string, error: unknown): string {
  const position = Number(/position (\d+)/.exec(String(error))?.[1] ?? text.length)
  const before = text.slice(0, position).split('\n')
  return `line ${before.length}, column ${before.at(-1)!.length + 1}`
}

function isRecord(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && !Array.isArray(value)
}
