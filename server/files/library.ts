import { randomUUID } from 'node:crypto'
import { isDeepStrictEqual } from 'node:util'
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate'
import { withFreshIds, type LessonFile } from '../../core/formats'
import type { Restored } from '../../schemas/contract'
import { librarySchema, type LibraryFile } from '../../schemas/library'
import { refusal } from '../access/refusal'
import { listCalendars, saveCalendar } from '../database/calendars'
import { heldDaysOf, listCupboard, restoreCupboard, saveHeldDays } from '../database/cupboard'
import { findLesson, listLessonIds } from '../database/lessons'
import type { Database } from '../database/open'
import { openedFile } from './openedFile'
import { pictureBytes } from './pictureBytes'
import { wholeFile } from './wholeFile'
import { addLesson } from '../record/wholeLesson'
import { rowsAreKnown } from '../record/rows'

const FORMAT = 'jolly-beaker-library'
const VERSION = 1
const MOST_UNZIPPED = 1_000_000_000

/** Everything there is, as one zip: each lesson's file, the cupboard with its history, the calendars. No passphrase and no station. */
export async function writeLibrary(database: Database, savedAt: string): Promise<Uint8Array> {
  const lessons = await listLessonIds(database)
  const files: Record<string, Uint8Array> = {}
  for (const { id } of lessons) files[`lessons/${id}.beaker.json`] = strToU8(JSON.stringify(await wholeFile(database, id, savedAt)))
  const library: LibraryFile = {
    format: FORMAT,
    version: VERSION,
    savedAt,
    lessons: lessons.map(({ id, archived }) => ({ id, archived })),
    cupboard: await listCupboard(database),
    calendars: [...(await listCalendars(database))].map(([className, calendar]) => ({ className, calendar })),
    held: await heldDaysOf(database),
  }
  return zipSync({ 'library.json': strToU8(JSON.stringify(library)), ...files })
}

/**
 * Puts back what is missing. Nothing that is here is overwritten or taken away: a lesson that was changed since stands beside its saved form. A file
 * that is not whole changes nothing.
 */
export async function restoreLibrary(database: Database, bytes: Uint8Array): Promise<Restored> {
  const { library, files } = readLibrary(bytes)
  const restored: Restored = { added: 0, alreadyThere: 0, beside: 0, things: 0 }
  for (const { id, archived } of library.lessons) {
    const file = files.get(id)!
    const here = await findLesson(database, id)
    if (here && isDeepStrictEqual(plain(await wholeFile(database, id, file.savedAt)), plain(file))) {
      restored.alreadyThere += 1
      continue
    }
    const known = here !== undefined || (await rowsAreKnown(database, file))
    const record = known ? withFreshIds(file, randomUUID) : file
    await addLesson(database, file.plan, record, file.pictures.map(pictureBytes), { id: here ? randomUUID() : id, archived })
    if (here) restored.beside += 1
    else restored.added += 1
  }
  restored.things = await restoreCupboard(database, library.cupboard)
  const known = await listCalendars(database)
  for (const { className, calendar } of library.calendars)
    if (!known.has(className)) await saveCalendar(database, className, calendar)
  if (restored.added > 0 && restored.alreadyThere === 0 && restored.beside === 0) await saveHeldDays(database, library.held)
  return restored
}

function readLibrary(bytes: Uint8Array): { library: LibraryFile; files: Map<string, LessonFile> } {
  let inside: Record<string, Uint8Array>
  try {
    let unpacked = 0
    unzipSync(bytes, { filter: ({ originalSize }) => ((unpacked += originalSize), false) })
    if (unpacked > MOST_UNZIPPED) throw new Error('too large')
    inside = unzipSync(bytes)
  } catch {
    throw refusal(400, 'library-not-a-zip')
  }
  const found = inside['library.json']
  if (!found) throw refusal(400, 'library-foreign')
  const { error, value } = librarySchema.validate(jsonOf(found))
  if (error) throw refusal(400, 'library-broken', undefined, { place: error.details[0]?.path.join('.') })
  const library = value as LibraryFile
  if (library.version > VERSION) throw refusal(400, 'library-newer')
  const files = new Map<string, LessonFile>()
  for (const { id } of library.lessons) {
    const lesson = inside[`lessons/${id}.beaker.json`]
    if (!lesson) throw refusal(400, 'library-broken', undefined, { place: `lessons/${id}` })
    files.set(id, openedFile(strFromU8(lesson)))
  }
  return { library, files }
}

function jsonOf(bytes: Uint8Array): unknown {
  try {
    return JSON.parse(strFromU8(bytes))
  } catch {
    throw refusal(400, 'library-broken', undefined, { place: undefined })
  }
}

function plain(file: LessonFile): unknown {
  return JSON.parse(JSON.stringify({ ...file, savedAt: '' }))
}
