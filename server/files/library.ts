import { strToU8, Zip, ZipDeflate } from 'fflate'
import { MOST_IN_LIBRARY, type LibraryFile } from '../../schemas/library'
import { startingPointFile } from '../../schemas/startingPoint'
import { listCalendars } from '../database/calendars'
import { customsOf, heldDaysOf, listCupboard } from '../database/cupboard'
import { listLessonIds } from '../database/lessons'
import type { Database } from '../database/open'
import { listStartingPoints } from '../database/startingPoints'
import { listTogethers } from '../database/togethers'
import { nameInBackup } from './parts'
import { wholeFile } from './wholeFile'

const FORMAT = 'jolly-beaker-library'
const VERSION = 1
const CONTENTS = 'library.json'

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
  for (const { id } of lessons) await add(nameInBackup(id), await wholeFile(database, id, savedAt))
  zip.end()
  return Buffer.concat(chunks)
}
