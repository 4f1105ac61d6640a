import { EVERY_KIND, PLAN_VERSION, recordOf, rowsOf, supersededBy, withIds, type LessonRecord, type Plan } from '../lesson'
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
 * What a well-shaped file still can have wrong: the same id twice. A row without a home in the plan is none of it: it is kept, and the teacher is asked where it
 * belongs (core/record/strays.ts).
 * @returns the first problem, or undefined
 */
export function doubledId(file: LessonFile): FileProblem | undefined {
  for (const { list } of EVERY_KIND) {
    const known = new Set<string>()
    for (const [place, { id }] of file[list].entries()) {
      if (known.has(id)) return { code: 'broken', place: `${list}[${place}].id` }
      known.add(id)
    }
  }
  return undefined
}

/** A row that takes the place of one which the file lacks takes nobody's. */
export function withoutLostForms(file: LessonFile): LessonFile {
  const rows = recordOf((kind) => {
    const own = rowsOf(file, kind)
    const earlier = new Set<string>()
    return own.map((row) => {
      const before = supersededBy(kind, row)
      const there = before === null || earlier.has(before)
      earlier.add(row.id)
      return there ? row : { ...row, [kind.supersedes!]: null }
    })
  })
  return { ...file, ...rows }
}

/** The same rows under new ids, so that a lesson can be opened beside itself. The plan's own ids stay. */
export function withFreshIds(record: LessonRecord, newId: () => string): LessonRecord {
  const fresh = new Map(EVERY_KIND.flatMap((kind) => rowsOf(record, kind).map(({ id }) => [id, newId()] as const)))
  return recordOf((kind) => rowsOf(record, kind).map((row) => withIds(kind, row, (id) => fresh.get(id))))
}

function placeOfSyntaxError(text: string, error: unknown): string {
  const position = Number(/position (\d+)/.exec(String(error))?.[1] ?? text.length)
  const before = text.slice(0, position).split('\n')
  return `line ${before.length}, column ${before.at(-1)!.length + 1}`
}

function isRecord(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && !Array.isArray(value)
}
