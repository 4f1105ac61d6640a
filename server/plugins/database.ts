import { randomUUID } from 'node:crypto'
import { defineNitroPlugin } from 'nitropack/runtime'
import { dayOf } from '../../core/clock'
import { withThings } from '../../core/kit'
import { demoLessons } from '../../library/demo'
import { demoCalendar, demoCupboard } from '../../library/demoSchool'
import { saveCalendar } from '../database/calendars'
import { resumeClassMode, turnOff } from '../access/classMode'
import { closeDatabase, openOnce } from '../database/connection'
import { saveThing } from '../database/cupboard'
import type { Database } from '../database/open'
import { endStreams } from '../live/stream'
import { keepSummaries } from '../views/renewing'
import { addLesson } from '../record/wholeLesson'

/** How scripts/start.mjs, which serves the built server, learns that it is ready and tells it to close. */
export interface Lifecycle {
  ready: Promise<{ warning: string | undefined; classMode: boolean }>
  close(): Promise<void>
}

export default defineNitroPlugin(() => {
  const ready = openOnce().then(async ({ database, warning, fresh }) => {
    if (fresh && process.env.JOLLY_BEAKER_DEMO === 'yes') await loadDemo(database)
    await keepSummaries(database)
    if (process.env.JOLLY_BEAKER_CLASS_MODE === 'off') await turnOff()
    return { warning, classMode: await resumeClassMode() }
  })
  ready.catch(() => undefined)
  const close = async () => {
    endStreams()
    await closeDatabase()
  }
  Object.assign(globalThis, { jollyBeaker: { ready, close } satisfies Lifecycle })
})

async function loadDemo(database: Database): Promise<void> {
  const today = dayOf(new Date())
  const things = demoCupboard(randomUUID)
  for (const thing of things) await saveThing(database, thing)
  await saveCalendar(database, 'Puffin', demoCalendar(today))
  for (const { plan, record } of demoLessons(today, randomUUID)) await addLesson(database, withThings(plan, things), record)
}
