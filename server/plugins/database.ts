import { defineNitroPlugin } from 'nitropack/runtime'
import { resumeClassMode, turnOff } from '../access/classMode'
import { closeDatabase, openOnce } from '../database/connection'
import { forgetOldTries } from '../access/slowDown'
import { mendedWords } from '../../core/wording'
import { version } from '../../package.json'
import { listNotices } from '../database/notices'
import { log } from '../lookedAfter/log'
import { catchOutages } from '../database/outage'
import { sharePresence } from '../live/presence'
import { endStreams } from '../live/stream'
import { keepSummaries } from '../views/renewing'
import { mendArrivals } from '../record/arrival'
import { putDemo } from '../record/demo'

/** How scripts/start.mjs, which serves the built server, learns that it is ready and tells it to close. */
export interface Lifecycle {
  ready: Promise<{ notices: string[]; classMode: boolean }>
  close(): Promise<void>
}

const AN_HOUR = 3_600_000

export default defineNitroPlugin(() => {
  const ready = openOnce().then(async ({ database, fresh, alone, mended }) => {
    log.info({ version, node: process.version, fresh, alone }, 'started')
    if (mended) log.warn({ damage: mended.damage, takenAt: mended.takenAt }, 'mended at the start')
    if (!alone) catchOutages()
    if (fresh && process.env.JOLLY_BEAKER_DEMO === 'yes') await putDemo(database, null)
    await keepSummaries(database)
    void mendArrivals(database, alone).catch((error: unknown) => log.error({ err: error }, 'what arrived late could not be mended'))
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
