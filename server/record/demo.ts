import { randomUUID } from 'node:crypto'
import { dayOf } from '../../core/clock'
import { withThings } from '../../core/kit'
import { demoLessons } from '../../demo/lessons'
import { demoCalendar, demoCupboard } from '../../demo/school'
import { saveCalendar } from '../database/calendars'
import { listThings, saveThing } from '../database/cupboard'
import type { Database } from '../database/open'
import { offerWalk } from '../database/walk'
import { addLesson } from './wholeLesson'

/** Puts the demo class on a desk's shelf, with its calendar and what the cupboard lacks of its things; answers the lesson to look at. */
export async function putDemo(database: Database, desk: string | null): Promise<string> {
  const today = dayOf(new Date())
  const known = new Set((await listThings(database)).map(({ name }) => name))
  for (const thing of demoCupboard(randomUUID)) if (!known.has(thing.name)) await saveThing(database, thing)
  const things = await listThings(database)
  await saveCalendar(database, 'Puffin', demoCalendar(today))
  const added: string[] = []
  for (const { plan, record } of demoLessons(today, randomUUID)) {
    added.push((await addLesson(database, withThings(plan, things), record, [], { desk })).id)
  }
  await offerWalk(database, added[0]!)
  return added[0]!
}
