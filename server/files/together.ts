import { randomUUID } from 'node:crypto'
import { withFreshIds, type LessonFile } from '../../core/formats'
import type { Together } from '../../core/together'
import { togetherSchema } from '../../schemas/together'
import { fileProblemWords } from '../../core/wording'
import { Refusal } from '../access/refusal'
import type { Database } from '../database/open'
import { addTogether, setLessons, type StoredTogether } from '../database/together'
import { addLesson, freeCode } from '../record/wholeLesson'
import { pictureBytes } from './pictureBytes'
import { openedFile } from './readBeside'
import { wholeFile } from './wholeFile'

export const TOGETHER_FORMAT = 'jolly-beaker-together'
const VERSION = 1

/** Lessons that run together as one document: see docs/formats.md. */
interface TogetherFile {
  format: typeof TOGETHER_FORMAT
  version: number
  savedAt: string
  together: Together
  lessons: { id: string; lesson: LessonFile }[]
}

export async function wholeTogether(database: Database, { body, lessons }: StoredTogether, savedAt: string): Promise<TogetherFile> {
  const files: TogetherFile['lessons'] = []
  for (const { id } of lessons) files.push({ id, lesson: await wholeFile(database, id, savedAt) })
  return { format: TOGETHER_FORMAT, version: VERSION, savedAt, together: body, lessons: files }
}

/** Is it such a document? Its beginning says so, before all of it is read. */
export function isTogetherFile(text: string): boolean {
  return /^\s*\{\s*"format"\s*:\s*"jolly-beaker-together"/.test(text.slice(0, 200))
}

/** Opens all lessons of the document as further ones that run together; one that is not whole changes nothing. */
export async function openTogether(
  database: Database,
  text: string,
  desk: string | null,
): Promise<{ id: string; together: string }> {
  const { together, lessons } = readTogetherFile(text)
  const files: { old: string; file: LessonFile }[] = []
  for (const { id, lesson } of lessons) files.push({ old: id, file: await openedFile(JSON.stringify(lesson)) })
  return database.transaction(async (transaction) => {
    const ids = new Map<string, string>()
    for (const { old, file } of files) {
      const pictures = file.pictures.map(pictureBytes)
      ids.set(old, (await addLesson(transaction, file.plan, withFreshIds(file, randomUUID), pictures, { desk })).id)
    }
    const anew = <Value>(of: Record<string, Value>) =>
      Object.fromEntries(Object.entries(of).flatMap(([old, value]) => (ids.has(old) ? [[ids.get(old)!, value]] : [])))
    const body = { ...together, waiting: anew(together.waiting), sets: anew(together.sets) }
    const set = await addTogether(transaction, { code: await freeCode(transaction), body, desk })
    await setLessons(transaction, set, [...ids.values()])
    return { id: [...ids.values()][0] ?? '', together: set }
  })
}

function readTogetherFile(text: string): TogetherFile {
  const broken = (place: string) =>
    new Refusal(400, { code: 'file-broken', message: fileProblemWords({ code: 'broken', place }), field: place })
  let content: Partial<TogetherFile>
  try {
    content = JSON.parse(text) as Partial<TogetherFile>
  } catch {
    throw broken('format')
  }
  if (typeof content.version !== 'number') throw broken('version')
  if (content.version > VERSION)
    throw new Refusal(400, { code: 'file-newer', message: fileProblemWords({ code: 'newer', place: 'version' }), field: 'version' })
  const { error } = togetherSchema.validate(content.together)
  if (error) throw broken(`together.${error.details[0]?.path.join('.') ?? ''}`)
  const whole = Array.isArray(content.lessons) && content.lessons.every((one) => typeof one?.id === 'string' && one.lesson)
  if (!whole || content.lessons!.length === 0) throw broken('lessons')
  return content as TogetherFile
}
