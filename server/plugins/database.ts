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
import { forgetOldTries } from '../access/slowDown'
import { mendedWords } from '../../core/wording'
import { listNotices } from '../database/notices'
import { sharePresence } from '../live/presence'
import { endStreams } from '../live/stream'
import { keepSummaries } from '../views/renewing'
import { addLesson } from '../record/wholeLesson'

/** How scripts/start.mjs, which serves the built server, learns that it is ready and tells it to close. */
export interface Lifecycle {
  ready: Promise<{ notices: string[]; classMode: boolean }>
  close(): Promise<void>
}

const AN_HOUR = 3_600_000

export default defineNitroPlugin(() => {
  const ready = openOnce().then(async ({ database, fresh, alone }) => {
    if (fresh && process.env.JOLLY_BEAKER_DEMO === 'yes') await loadDemo(database)
    await keepSummaries(database)
    if (process.env.JOLLY_BEAKER_CLASS_MODE === 'off') await turnOff()
    sharePresence(database, alone)
    setInterval(() => void forgetOldTries(database).catch(() => undefined), AN_HOUR).unref()
    const notices = (await listNotices(database)).map(mendedWords)
    return { notices, classMode: await resumeClassMode() }
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
