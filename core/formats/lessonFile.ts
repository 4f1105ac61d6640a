import {
  conditionsOf,
  EVERY_KIND,
  otherGroupOf,
  PLAN_VERSION,
  recordOf,
  rowsOf,
  supersededBy,
  WHOLE_CLASS,
  withIds,
  type AnyKind,
  type AnyRow,
  type LessonRecord,
  type Plan,
} from '../lesson'
import { migratePlan, migrateRows } from './migrate'

export const LESSON_FILE_FORMAT = 'jolly-beaker-lesson'

/** A lesson as it is saved: see docs/formats.md. */
export interface LessonFile extends LessonRecord {
  format: typeof LESSON_FILE_FORMAT
  schemaVersion: number
  savedAt: string
  plan: Plan
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
  const rows = recordOf((kind) => rowsOf(record, kind))
  return { format: LESSON_FILE_FORMAT, schemaVersion: PLAN_VERSION, savedAt, plan, ...rows, pictures }
}

/**
 * Reads the text of a lesson file as far as the format goes: is it JSON, is it one of ours, is it not newer than this
 * version. An older plan is brought up to date. The shape itself is then checked against the schemas.
 * @example openLessonFile('{"format":"other"}') // => { ok: false, code: 'foreign', place: 'format' }
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
  for (const kind of EVERY_KIND) {
    const earlier = new Set<string>()
    for (const [place, row] of rowsOf(file, kind).entries()) {
      const column = strayColumn(kind, row, groups, conditions, earlier)
      if (column !== undefined) return { code: 'broken', place: `${kind.list}[${place}].${column}` }
      earlier.add(row.id)
    }
  }
  return undefined
}

function strayColumn(
  kind: AnyKind,
  row: AnyRow,
  groups: Set<string>,
  conditions: Set<string>,
  earlier: Set<string>,
): string | undefined {
  if (earlier.has(row.id)) return 'id'
  const known = row.group === null || groups.has(row.group) || (row.group === WHOLE_CLASS && kind.ofWholeClass?.(row))
  if (!known) return 'group'
  if (conditionsOf(kind, row).some((id) => !conditions.has(id))) return kind.conditions
  const other = otherGroupOf(kind, row)
  if (other !== null && !groups.has(other)) return kind.otherGroup
  const before = supersededBy(kind, row)
  return before !== null && !earlier.has(before) ? kind.supersedes : undefined
}

/** The same rows under new ids, so that a lesson can be opened beside itself. The plan's own ids stay. */
export function withFreshIds(record: LessonRecord, newId: () => string): LessonRecord {
  return recordOf((kind) => {
    const rows = rowsOf(record, kind)
    const fresh = new Map(rows.map(({ id }) => [id, newId()]))
    return rows.map((row) => withIds(kind, row, (id) => fresh.get(id)))
  })
}

function placeOfSyntaxError(text: string, error: unknown): string {
  const position = Number(/position (\d+)/.exec(String(error))?.[1] ?? text.length)
  const before = text.slice(0, position).split('\n')
  return `line ${before.length}, column ${before.at(-1)!.length + 1}`
}

function isRecord(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && !Array.isArray(value)
}
