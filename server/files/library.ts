import { randomUUID } from 'node:crypto'
import { isDeepStrictEqual } from 'node:util'
import { strFromU8, strToU8, unzipSync, Zip, ZipDeflate } from 'fflate'
import { withFreshIds, type LessonFile } from '../../core/formats'
import type { Restored } from '../../schemas/contract'
import { librarySchema, MOST_IN_LIBRARY, type LibraryFile } from '../../schemas/library'
import { startingPointFile } from '../../schemas/startingPoint'
import { refusal, Refusal } from '../access/refusal'
import { listCalendars, saveCalendar } from '../database/calendars'
import { customsOf, heldDaysOf, listCupboard, restoreCupboard, saveCustoms, saveHeldDays } from '../database/cupboard'
import { findLesson, listLessonIds } from '../database/lessons'
import type { Database } from '../database/open'
import { rowsAreKnown } from '../record/rows'
import { addTogether, listTogethers, setLessons } from '../database/together'
import { addStartingPoint, listStartingPoints } from '../database/startingPoints'
import { addLesson, freeCode } from '../record/wholeLesson'
import { pictureBytes } from './pictureBytes'
import { openedFile } from './readBeside'
import { readStartingPoint } from './startingPoint'
import { wholeFile } from './wholeFile'

const FORMAT = 'jolly-beaker-library'
const VERSION = 1
const CONTENTS = 'library.json'
/** Of one file inside; a lesson's own file may be as large. */
const MOST_OF_ONE = 200_000_000

/**
 * Everything that a desk sees, as one zip: each lesson's file, the cupboard with its history, the calendars, lessons to begin from. No passphrase and no
 * station. One lesson after the other, so that others are heard between.
 */
export async function writeLibrary(database: Database, savedAt: string, desk: string | null): Promise<Uint8Array> {
  const lessons = await listLessonIds(database, desk)
  const chunks: Uint8Array[] = []
  const zip = new Zip((error, chunk) => {
    if (error) throw error
    chunks.push(chunk)
  })
  const add = async (name: string, content: unknown) => {
    const file = new ZipDeflate(name, { level: 6 })
    zip.add(file)
    file.push(strToU8(JSON.stringify(content)), true)
    await new Promise((heard) => setImmediate(heard))
  }
  const library: LibraryFile = {
    format: FORMAT,
    version: VERSION,
    savedAt,
    lessons: lessons.map(({ id, archived }) => ({ id, archived })),
    cupboard: await listCupboard(database, MOST_IN_LIBRARY.moves),
    calendars: [...(await listCalendars(database))].map(([className, calendar]) => ({ className, calendar })),
    held: await heldDaysOf(database),
    customs: await customsOf(database),
    togethers: (await listTogethers(database, desk)).map(({ body, lessons: own }) => ({
      lessons: own.map(({ id }) => id),
      together: body,
    })),
    startingPoints: (await listStartingPoints(database)).map(({ id, body }) => ({ id, startingPoint: startingPointFile(body) })),
  }
  await add(CONTENTS, library)
  for (const { id } of lessons) await add(nameOf(id), await wholeFile(database, id, savedAt))
  zip.end()
  return Buffer.concat(chunks)
}

const nameOf = (lesson: string) => `lessons/${lesson}.beaker.json`

/**
 * Puts back what is missing, all in one go or not at all. Nothing that is here is overwritten or taken away: a lesson that was changed
 * since stands beside its saved form. A lesson in it that is damaged is named and left out, and does not keep the others from coming
 * back.
 * @param desk whose the lessons are from now on
 */
export async function restoreLibrary(database: Database, bytes: Uint8Array, desk: string | null): Promise<Restored> {
  const library = readContents(bytes)
  return database.transaction(async (transaction) => {
    const restored: Restored = { added: 0, alreadyThere: 0, beside: 0, things: 0, damaged: [] }
    for (const { id, archived } of library.lessons) {
      const what = await restoreLesson(transaction, bytes, id, { archived, desk }).catch((error: unknown) => {
        if (!(error instanceof Refusal)) throw error
        restored.damaged.push({ lesson: titleOf(bytes, id), message: error.body.message })
      })
      if (what) restored[what] += 1
      await new Promise((heard) => setImmediate(heard))
    }
    await restoreTogethers(transaction, library.togethers, desk)
    for (const { id, startingPoint } of library.startingPoints)
      await addStartingPoint(transaction, readStartingPoint(JSON.stringify(startingPoint)), desk, id)
    restored.things = await restoreCupboard(transaction, library.cupboard)
    const known = await listCalendars(transaction)
    for (const { className, calendar } of library.calendars)
      if (!known.has(className)) await saveCalendar(transaction, className, calendar)
    if (restored.added > 0 && restored.alreadyThere === 0 && restored.beside === 0) {
      await saveHeldDays(transaction, library.held)
      await saveCustoms(transaction, library.customs)
    }
    return restored
  })
}

async function restoreLesson(
  database: Database,
  bytes: Uint8Array,
  id: string,
  place: { archived: boolean; desk: string | null },
): Promise<'added' | 'alreadyThere' | 'beside'> {
  const inside = unpacked(bytes, nameOf(id))
  if (!inside) throw refusal(400, 'library-lesson-missing')
  const file = await openedFile(strFromU8(inside))
  const here = await findLesson(database, id)
  if (here && isDeepStrictEqual(plain(await wholeFile(database, id, file.savedAt)), plain(file))) return 'alreadyThere'
  const known = here !== undefined || (await rowsAreKnown(database, file))
  const record = known ? withFreshIds(file, randomUUID) : file
  await addLesson(database, file.plan, record, file.pictures.map(pictureBytes), { id: here ? randomUUID() : id, ...place })
  return here ? 'beside' : 'added'
}

/** Lessons that came back alone run together again; those that stand here already stay as they are. */
async function restoreTogethers(database: Database, togethers: LibraryFile['togethers'], desk: string | null): Promise<void> {
  for (const { lessons, together } of togethers) {
    const alone = []
    for (const id of lessons) if ((await findLesson(database, id))?.together === null) alone.push(id)
    if (alone.length < 2) continue
    const id = await addTogether(database, { code: await freeCode(database), body: together, desk })
    await setLessons(database, id, alone)
  }
}

function readContents(bytes: Uint8Array): LibraryFile {
  let found: Uint8Array | undefined
  try {
    found = unpacked(bytes, CONTENTS)
  } catch {
    throw refusal(400, 'library-not-a-zip')
  }
  if (!found) throw refusal(400, 'library-foreign')
  const { error, value } = librarySchema.validate(jsonOf(found))
  if (error) throw refusal(400, 'library-broken', undefined, { place: error.details[0]?.path.join('.') })
  const library = value as LibraryFile
  if (library.version > VERSION) throw refusal(400, 'library-newer')
  return library
}

/** One file of the zip, unpacked alone: what claims to be larger than any of ours is none of ours. */
function unpacked(bytes: Uint8Array, wanted: string): Uint8Array | undefined {
  return unzipSync(bytes, { filter: ({ name, originalSize }) => name === wanted && originalSize <= MOST_OF_ONE })[wanted]
}

/** What a damaged lesson is called, where that can still be read. */
function titleOf(bytes: Uint8Array, id: string): string {
  try {
    const title = /"title":"((?:[^"\\]|\\.){1,200})"/.exec(strFromU8(unpacked(bytes, nameOf(id))!))?.[1]
    return title === undefined ? id : (JSON.parse(`"${title}"`) as string)
  } catch {
    return id
  }
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
