import { randomUUID } from 'node:crypto'
import { isDeepStrictEqual } from 'node:util'
import type { Restored, SchoolDiffers } from '../../schemas/contract'
import type { LibraryFile } from '../../schemas/library'
import { listCalendars, saveCalendar } from '../database/calendars'
import { customsOf, heldDaysOf, restoreMoves, restoreThing, saveCustoms, saveHeldDays } from '../database/cupboard'
import { findLesson, listLessonIds } from '../database/lessons'
import type { Database } from '../database/open'
import { addStartingPoint } from '../database/startingPoints'
import { Arrival, cutsMended } from '../record/arrival'
import { digestOf } from './digestOf'
import type { FilePart, Wanted } from './parts'
import { storeParts } from './partsBeside'

/** How a backup comes back. */
export interface Restoring {
  /** Whose its lessons are from now on. */
  desk: string | null
  /** The school's settings and calendars are to be those of the backup. */
  takeSchool: boolean
}

/**
 * Puts back what is missing, all in one go or not at all. Nothing that is here is overwritten or taken away: a lesson that was changed
 * since stands beside its saved form. A lesson in it that is damaged is named and left out, and does not keep the others from coming
 * back. The school's settings and calendars come along into an empty library at the head desk; elsewhere it is said what differs.
 */
export async function restoreLibrary(database: Database, bytes: Uint8Array[], { desk, takeSchool }: Restoring): Promise<Restored> {
  await cutsMended()
  const restored: Restored = { added: 0, alreadyThere: 0, beside: 0, things: 0, damaged: [], differs: null }
  const wasEmpty = (await listLessonIds(database)).length === 0
  const arrival = new Arrival(database, desk)
  const lessons = new ArrivingLessons(database, arrival, restored)
  /** What belongs to no lesson comes after all of them, and after they are shown. */
  let shown = false
  const fresh = new Set<string>()
  try {
    await storeParts('backup', bytes, async (part) => {
      const wanted = await lessons.store(part)
      if (wanted !== undefined) return wanted
      if (part.part === 'together') arrival.runTogether(part.lessons, part.together)
      else {
        if (!shown) await arrival.complete()
        shown = true
        await storeOfSchool(part)
      }
      return 'next'
    })
  } finally {
    if (!shown) await arrival.giveUp()
  }
  return restored

  async function storeOfSchool(part: FilePart): Promise<void> {
    if (part.part === 'starting-point') await addStartingPoint(database, part.startingPoint, desk, part.id)
    if (part.part === 'thing' && (await restoreThing(database, part.thing, part.moves))) {
      restored.things += 1
      fresh.add(part.thing.id)
    }
    if (part.part === 'moves' && fresh.has(part.moves[0]?.thing ?? '')) await restoreMoves(database, part.moves)
    if (part.part === 'school')
      restored.differs = await restoreSchool(database, part.school, takeSchool || (wasEmpty && desk === null))
  }
}

/** Takes the settings and calendars of a backup where that may be, and of classes that have no calendar here; says what is otherwise here. */
async function restoreSchool(
  database: Database,
  { held, customs, calendars }: Pick<LibraryFile, 'held' | 'customs' | 'calendars'>,
  take: boolean,
): Promise<SchoolDiffers | null> {
  const known = await listCalendars(database)
  const others = calendars.filter(
    ({ className, calendar }) => known.has(className) && !isDeepStrictEqual(known.get(className), calendar),
  )
  const differs: SchoolDiffers = {
    held: !isDeepStrictEqual(await heldDaysOf(database), held),
    customs: !isDeepStrictEqual(await customsOf(database), customs),
    calendars: others.map(({ className }) => className),
  }
  for (const { className, calendar } of calendars)
    if (take || !known.has(className)) await saveCalendar(database, className, calendar)
  if (take) {
    if (differs.held) await saveHeldDays(database, held)
    if (differs.customs) await saveCustoms(database, customs)
    return null
  }
  return differs.held || differs.customs || differs.calendars.length > 0 ? differs : null
}

/** Stores the parts of lessons, one lesson after the other. */
class ArrivingLessons {
  private current = ''

  constructor(
    private readonly database: Database,
    private readonly arrival: Arrival,
    private readonly restored: Restored,
  ) {}

  /** Undefined where it is no part of a lesson. */
  async store(part: FilePart): Promise<Wanted | undefined> {
    if (part.part === 'lesson') return this.begin(part)
    if (part.part === 'damaged') {
      this.restored.damaged.push({ lesson: part.lesson, message: part.message })
      return 'next'
    }
    if (part.part === 'rows') return this.rows(part)
    if (part.part === 'picture') {
      await this.arrival.addPicture(this.current, part.picture)
      return 'next'
    }
    return part.part === 'lesson-ends' ? 'next' : undefined
  }

  private async begin({ id, plan, archived, digest }: Extract<FilePart, { part: 'lesson' }>): Promise<Wanted> {
    // One that another process left half way is not here: this one then comes beside it.
    const here = await findLesson(this.database, id)
    if (here && (await digestOf(this.database, here)) === digest) {
      this.restored.alreadyThere += 1
      return 'skip'
    }
    const begun = !here && (await this.arrival.begin(id, plan, archived))
    const own = begun ? id : randomUUID()
    if (!begun) await this.arrival.begin(own, plan, archived)
    this.restored[begun ? 'added' : 'beside'] += 1
    this.current = own
    // Beside itself it has rows of its own.
    return begun ? 'next' : 'afresh'
  }

  private async rows({ list, rows }: Extract<FilePart, { part: 'rows' }>): Promise<Wanted> {
    if (await this.arrival.addRows(this.current, list, rows)) return 'next'
    // One of them is in another lesson: all of this one's get other ids.
    await this.arrival.empty(this.current)
    return 'afresh'
  }
}
