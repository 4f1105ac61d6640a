import { randomUUID } from 'node:crypto'
import { strFromU8 } from 'fflate'
import { withFreshIds, type LessonFile } from '../../core/formats'
import { EVERY_KIND, rowsOf, type AnyRow, type LessonRecord, type ListName, type Plan } from '../../core/lesson'
import type { Together } from '../../core/together'
import { fileProblemWords } from '../../core/wording'
import { librarySchema, type LibraryFile } from '../../schemas/library'
import { textFileSchema } from '../../schemas/requests'
import { refusal, Refusal } from '../access/refusal'
import { unstorable } from '../access/storable'
import type { StoredPicture } from '../database/pictures'
import type { StartingPoint } from '../../core/test'
import { LessonDigest } from './digest'
import { checkFile } from './openedFile'
import { pictureBytes } from './pictureBytes'
import { isTogetherFile, readTogetherFile } from './readTogether'
import { isStartingPointFile, readStartingPoint } from './startingPoint'
import { ZipFiles } from './zip'

/** What a file holds, in pieces that are stored quickly: read and checked beside the server, put in place one after the other, so that no station waits for a whole file. */
export type FilePart =
  | { part: 'lesson'; id: string; archived: boolean; plan: Plan; /** Of all that is in it. */ digest: string }
  | { part: 'rows'; list: ListName; rows: AnyRow[] }
  | { part: 'picture'; picture: StoredPicture }
  | { part: 'lesson-ends' }
  /** A lesson that cannot be read, and why. */
  | { part: 'damaged'; lesson: string; message: string }
  | { part: 'together'; lessons: string[]; together: Together }
  /** Its id where it had one. */
  | { part: 'starting-point'; id: string | undefined; startingPoint: StartingPoint }
  | { part: 'thing'; thing: LibraryFile['cupboard']['things'][number]; moves: LibraryFile['cupboard']['moves'] }
  | { part: 'moves'; moves: LibraryFile['cupboard']['moves'] }
  | { part: 'school'; school: Pick<LibraryFile, 'held' | 'customs' | 'calendars'> }

/** What whoever stores the parts wants: the next one, the lesson left out from here on, or its rows from the beginning, under other ids. */
export type Wanted = 'next' | 'skip' | 'afresh'
export type FileTask = 'backup' | 'open'
type Parts = Generator<FilePart, void, Wanted>

const ROWS_AT_ONCE = 40
const MOVES_AT_ONCE = 100
const VERSION = 1
const CONTENTS = 'library.json'
const MOST_OF_CONTENTS = 20_000_000
/** Of a lesson's own file, and of all of them together. */
const MOST_OF_ONE = 200_000_000
const MOST_OF_ALL = 4_000_000_000

/** @throws Refusal where the file is none of ours, or not whole */
export function partsOf(task: FileTask, bytes: Uint8Array): Parts {
  return task === 'backup' ? partsOfBackup(bytes) : partsOfOpened(bytes)
}

function* partsOfBackup(bytes: Uint8Array): Parts {
  const zip = opened(bytes)
  const library = contentsOf(zip)
  const startingPoints = library.startingPoints.map(({ id, startingPoint }) => ({
    id,
    startingPoint: readStartingPoint(JSON.stringify(startingPoint)),
  }))
  const all = library.lessons.reduce((sum, { id }) => sum + (zip.sizeOf(nameInBackup(id)) ?? 0), 0)
  if (all > MOST_OF_ALL) throw refusal(400, 'library-broken', undefined, { place: 'lessons' })
  for (const { id, archived } of library.lessons) yield* partsOfSaved(zip, id, archived)
  for (const { lessons, together } of library.togethers) yield { part: 'together', lessons, together }
  for (const one of startingPoints) yield { part: 'starting-point', ...one }
  yield* partsOfCupboard(library.cupboard)
  const { held, customs, calendars } = library
  yield { part: 'school', school: { held, customs, calendars } }
}

/** Where a backup has a lesson. */
export const nameInBackup = (lesson: string) => `lessons/${lesson}.beaker.json`

function* partsOfSaved(zip: ZipFiles, id: string, archived: boolean): Parts {
  let text = ''
  let lesson: Parts
  try {
    const inside = zip.read(nameInBackup(id), MOST_OF_ONE)
    if (!inside) throw refusal(400, 'library-lesson-missing')
    text = strFromU8(inside)
    lesson = partsOfLesson(fileIn(text), id, archived)
  } catch (error) {
    yield { part: 'damaged', lesson: titleIn(text) ?? id, message: messageOf(error) }
    return
  }
  yield* lesson
}

function messageOf(error: unknown): string {
  return error instanceof Refusal ? error.body.message : refusal(400, 'library-lesson-missing').body.message
}

function* partsOfCupboard({ things, moves }: LibraryFile['cupboard']): Parts {
  const of = new Map<string, LibraryFile['cupboard']['moves']>()
  for (const move of moves) {
    const own = of.get(move.thing)
    if (own) own.push(move)
    else of.set(move.thing, [move])
  }
  for (const thing of things) {
    const own = of.get(thing.id) ?? []
    yield { part: 'thing', thing, moves: own.slice(0, MOVES_AT_ONCE) }
    for (let from = MOVES_AT_ONCE; from < own.length; from += MOVES_AT_ONCE)
      yield { part: 'moves', moves: own.slice(from, from + MOVES_AT_ONCE) }
  }
}

/** A lesson file, one of several lessons that run together, or a lesson to begin from. */
function* partsOfOpened(bytes: Uint8Array): Parts {
  const text = textIn(bytes)
  if (isStartingPointFile(text)) {
    yield { part: 'starting-point', id: undefined, startingPoint: readStartingPoint(text) }
    return
  }
  if (!isTogetherFile(text)) {
    yield* partsOfLesson(fileIn(text), '', false)
    return
  }
  const { together, lessons } = readTogetherFile(text)
  // All are looked at before the first is stored.
  const files = lessons.map(({ id, lesson }) => ({ id, file: fileIn(JSON.stringify(lesson)) }))
  for (const { id, file } of files) yield* partsOfLesson(file, id, false)
  yield { part: 'together', lessons: files.map(({ id }) => id), together }
}

/** Its pictures are looked at at once, so that a damaged one is found before anything is stored. */
function partsOfLesson(file: LessonFile, id: string, archived: boolean): Parts {
  const pictures = file.pictures.map(pictureBytes)
  const digest = new LessonDigest().plan(file.plan)
  for (const kind of EVERY_KIND) digest.rows(kind, rowsOf(file, kind))
  for (const picture of pictures) digest.picture(picture)
  const whole = digest.value()
  return (function* (): Parts {
    let record: LessonRecord = file
    let wanted = yield { part: 'lesson', id, archived, plan: file.plan, digest: whole }
    while (wanted !== 'skip') {
      if (wanted === 'afresh') record = withFreshIds(file, randomUUID)
      wanted = yield* contentOf(record, pictures)
      if (wanted === 'next') return
    }
  })()
}

/** Rows and pictures, until something else is wanted than the next of them. */
function* contentOf(record: LessonRecord, pictures: StoredPicture[]): Generator<FilePart, Wanted, Wanted> {
  for (const kind of EVERY_KIND) {
    const rows = rowsOf(record, kind)
    for (let from = 0; from < rows.length; from += ROWS_AT_ONCE) {
      const wanted = yield { part: 'rows', list: kind.list, rows: rows.slice(from, from + ROWS_AT_ONCE) }
      if (wanted !== 'next') return wanted
    }
  }
  for (const picture of pictures) {
    const wanted = yield { part: 'picture', picture }
    if (wanted !== 'next') return wanted
  }
  return yield { part: 'lesson-ends' }
}

function fileIn(text: string): LessonFile {
  const checked = checkFile(text)
  if (checked.ok) return checked.file
  const { problem } = checked
  throw new Refusal(400, { code: `file-${problem.code}`, message: fileProblemWords(problem), field: problem.place })
}

function textIn(bytes: Uint8Array): string {
  let body: unknown
  try {
    body = JSON.parse(strFromU8(bytes))
  } catch {
    throw refusal(400, 'not-json')
  }
  const { error, value } = textFileSchema.validate(body)
  if (error) throw new Refusal(400, { code: 'invalid', message: error.message, field: 'text' })
  return (value as { text: string }).text
}

function opened(bytes: Uint8Array): ZipFiles {
  try {
    return new ZipFiles(bytes)
  } catch {
    throw refusal(400, 'library-not-a-zip')
  }
}

function contentsOf(zip: ZipFiles): LibraryFile {
  const broken = (place: string | undefined) => refusal(400, 'library-broken', undefined, { place })
  if (zip.sizeOf(CONTENTS) === undefined) throw refusal(400, 'library-foreign')
  let content: unknown
  try {
    content = JSON.parse(strFromU8(zip.read(CONTENTS, MOST_OF_CONTENTS)!))
  } catch {
    throw broken(undefined)
  }
  const bad = unstorable(content)
  if (bad !== undefined) throw broken(bad)
  const { error, value } = librarySchema.validate(content)
  if (error) throw broken(error.details[0]?.path.join('.'))
  const library = value as LibraryFile
  if (library.version > VERSION) throw refusal(400, 'library-newer')
  return library
}

/** What a damaged lesson is called, where that can still be read. */
function titleIn(text: string): string | undefined {
  const title = /"title":"((?:[^"\\]|\\.){1,200})"/.exec(text)?.[1]
  try {
    return title === undefined ? undefined : (JSON.parse(`"${title}"`) as string)
  } catch {
    return undefined
  }
}
