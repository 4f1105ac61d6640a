import { accessSync, constants, existsSync, mkdirSync, statSync } from 'node:fs'
import { dirname, join, resolve } from 'node:path'
import type { PGlite } from '@electric-sql/pglite'
import { drizzle } from 'drizzle-orm/pglite'
import { migrate } from 'drizzle-orm/pglite/migrator'
import type { Database, OpenDatabase, OpenOptions } from '../open'
import { nameEpoch } from '../epoch'
import { addNotice } from '../notices'
import { lastOpenedWith, refuseNewer, rememberOpening, willUpgrade, type OpenedWith } from '../openedWith'
import * as schema from '../schema'
import { StartError } from '../startError'
import { log } from '../../lookedAfter/log'
import { lockFolder } from './lock'
import type { Mended } from '../../../schemas/contract'
import { openOrMend, putBackSnapshot } from './mend'
import { checkFolder } from './room'
import { isDue, listSnapshots, takeSnapshot } from './snapshots'
import { StandingClient } from './standing'

const LOOK_EVERY = 60_000
/** The first snapshot comes soon after the first lesson. */
const FIRST_LOOK = 3000
/** The database writes a little by itself when it is only read. */
const WORTH_A_SNAPSHOT = 4096

/**
 * Opens the embedded database of a folder that this process alone takes. Migrations run, with a snapshot before them; snapshots go
 * on while it runs. Damage that a query meets later is mended in the same way as at the start.
 */
export async function openFolder({
  folder: path,
  migrations,
  snapshot: wanted,
  onLost,
  onReopened,
}: OpenOptions): Promise<OpenDatabase> {
  const folder = prepareFolder(path)
  checkFolder(folder)
  const unlock = await lockFolder(folder, onLost)
  try {
    let mending: Promise<void> | undefined
    const standing = new StandingClient(folder, (trouble) => {
      mending ??= mend(trouble).finally(() => (mending = undefined))
    })
    const database = drizzle(standing as unknown as PGlite, { schema }) as unknown as Database
    let client!: PGlite
    let beforeUpgrade: string | undefined

    const open = async (putBack = false): Promise<{ fresh: boolean; mended: Mended | undefined }> => {
      const opened = await openOrMend(folder)
      client = opened.client
      const whole = drizzle(client, { schema })
      try {
        await refuseNewer(whole, migrations, (known) => howToGoBack(folder, known))
      } catch (error) {
        await client.close()
        throw error
      }
      const known = await lastOpenedWith(whole)
      const upgrades = !opened.fresh && (await willUpgrade(whole, migrations))
      const snapshot = upgrades ? await takeSnapshot(client, folder, Date.now(), known?.before?.snapshot) : undefined
      await migrate(whole, { migrationsFolder: migrations })
      beforeUpgrade = (await rememberOpening(whole, known, snapshot)).before?.snapshot
      await nameEpoch(whole, putBack || (opened.mended !== undefined && opened.mended.takenAt !== null))
      if (opened.mended) await addNotice(whole, opened.mended)
      await standing.stand(client)
      return opened
    }

    const mend = async (trouble: 'damaged' | 'stopped'): Promise<void> => {
      log.error(
        trouble === 'damaged'
          ? 'A table cannot be read. Looking through the data ...'
          : 'The database stopped. Opening it again ...',
      )
      const below = await standing.leave()
      await Promise.race([below?.close().catch(() => undefined), new Promise((late) => setTimeout(late, 2000))])
      for (;;) {
        try {
          const { mended } = await open()
          log.warn('The data can be used again.')
          onReopened(mended)
          return
        } catch (error) {
          if (error instanceof StartError) log.error(error.message)
          else log.error({ err: error }, 'The data cannot be opened again yet.')
          await new Promise((again) => setTimeout(again, 2000))
        }
      }
    }

    if (wanted) await putBackSnapshot(folder, wanted)
    const { fresh, mended } = await open(wanted !== undefined)
    const keeper = keepSnapshots(
      folder,
      () => client,
      () => beforeUpgrade,
    )
    const close = async () => {
      await keeper.end()
      await mending
      await (await standing.leave())?.close()
      await unlock()
    }
    const snapshots = () => listSnapshots(folder, Date.now())
    return { database, alone: true, mended, fresh, snapshots, close, listen: (channel, heard) => standing.listen(channel, heard) }
  } catch (error) {
    await unlock()
    throw error
  }
}

/** Is the folder there (or can it be made in one that is) and may we write to it. */
function prepareFolder(path: string): string {
  const folder = resolve(path)
  const parent = dirname(folder)
  if (!existsSync(folder) && !existsSync(parent)) {
    throw new StartError(`The folder ${parent} does not exist. Make it first, or start with --data and another folder.`)
  }
  if (existsSync(folder) && !statSync(folder).isDirectory()) {
    throw new StartError(`${folder} is a file, not a folder. Start with --data and a folder.`)
  }
  try {
    if (!existsSync(folder)) mkdirSync(folder)
    accessSync(folder, constants.W_OK | constants.R_OK | constants.X_OK)
  } catch {
    throw new StartError(
      `The folder ${folder} cannot be written to. Change its permissions, or start with --data and another folder.`,
    )
  }
  return folder
}

/** A snapshot soon after the first lesson, and one for every school hour in which something was written. */
function keepSnapshots(folder: string, client: () => PGlite, named: () => string | undefined): { end(): Promise<void> } {
  let written: string | undefined
  let taking: Promise<void> = Promise.resolve()
  const look = async () => {
    const now = Date.now()
    if (!isDue(folder, now)) return
    const { rows } = await client().query<{ lessons: number; place: string; more: number | null }>(
      `select (select count(*)::int from lessons) as lessons, pg_current_wal_insert_lsn()::text as place,
        pg_wal_lsn_diff(pg_current_wal_insert_lsn(), $1)::float as more`,
      [written ?? null],
    )
    const { lessons, more } = rows[0]!
    if (lessons === 0 || (more !== null && more < WORTH_A_SNAPSHOT)) return
    const name = await takeSnapshot(client(), folder, now, named())
    log.info({ snapshot: name, milliseconds: Date.now() - now }, 'a snapshot was taken')
    const after = await client().query<{ place: string }>('select pg_current_wal_insert_lsn()::text as place')
    written = after.rows[0]!.place
  }
  const lookNow = () => {
    taking = taking.then(look).catch((error: unknown) => log.error({ err: error }, 'No snapshot could be taken.'))
  }
  const timers = [
    setInterval(lookNow, LOOK_EVERY),
    setInterval(() => isDue(folder, Date.now()) && !written && lookNow(), FIRST_LOOK),
  ]
  for (const timer of timers) timer.unref()
  return {
    end: async () => {
      timers.forEach(clearInterval)
      await taking
    },
  }
}

/** Which snapshot is of before the newer version came. */
function howToGoBack(folder: string, known: OpenedWith | undefined): string {
  const snapshot = known?.before?.snapshot
  if (snapshot === undefined || !existsSync(join(folder, 'snapshots', snapshot)))
    return 'No snapshot of before it is left in the folder.'
  return `To go back to what was there before it, start this one with --snapshot ${snapshot} (what was written since is put aside in the folder).`
}
