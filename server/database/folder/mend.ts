import { existsSync, readdirSync, renameSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import type { PGlite } from '@electric-sql/pglite'
import type { Mended } from '../../../schemas/contract'
import { StartError } from '../startError'
import { ClusterError, makeCluster, openCluster } from './cluster'
import { asStartError, checkFolder } from './room'
import { listSnapshots, type Snapshot } from './snapshots'
import { findDamage, isOnlyAKey, remakeKeys } from './soundness'
import { unpackCluster } from './packing'

export interface Opened {
  client: PGlite
  /** Made just now: the first start. */
  fresh: boolean
  mended: Mended | undefined
}

const CLUSTER = 'database'
/** Where a database is made or unpacked before it stands in its place. */
const NEW = 'database-being-made'

/**
 * Opens the database of a folder. One that is damaged gives way to the newest snapshot that is not, and only then: it is put aside
 * when the other has been opened and read through. Whatever else keeps it from opening touches nothing, and none is begun afresh
 * where there has been one.
 * @throws StartError with one sentence that says what to do
 */
export async function openOrMend(folder: string): Promise<Opened> {
  const cluster = join(folder, CLUSTER)
  rmSync(join(folder, NEW), { recursive: true, force: true })
  if (neverFilled(cluster)) {
    const before = remains(folder)
    if (before.length === 0) return { client: await openFresh(folder), fresh: true, mended: undefined }
    return mendFrom(folder, 'the folder “database” is missing or empty', undefined)
  }
  const first = await tryOpening(folder, cluster)
  if (!('damage' in first)) return { client: first.client, fresh: false, mended: undefined }
  return mendFrom(folder, first.damage, first.client)
}

/** No database was ever there, or its making was cut off before it held anything. */
function neverFilled(cluster: string): boolean {
  if (!existsSync(cluster)) return true
  const base = join(cluster, 'base')
  return !existsSync(join(cluster, 'PG_VERSION')) && (!existsSync(base) || readdirSync(base).length === 0)
}

/** What shows that a folder has held a database. */
function remains(folder: string): string[] {
  const aside = readdirSync(folder).filter((name) => name.startsWith('database-') && !neverFilled(join(folder, name)))
  return [...listSnapshots(folder, Date.now()).map(({ name }) => `snapshots/${name}`), ...aside]
}

async function openFresh(folder: string): Promise<PGlite> {
  const [made, cluster] = [join(folder, NEW), join(folder, CLUSTER)]
  try {
    await makeCluster(made)
    rmSync(cluster, { recursive: true, force: true })
    renameSync(made, cluster)
    return await openCluster(cluster)
  } catch (error) {
    checkFolder(folder)
    throw asStartError(error, folder)
  }
}

type Tried = { client: PGlite } | { damage: string; client?: PGlite }

/** Twice, since what kept it from opening may have been the computer. */
async function tryOpening(folder: string, cluster: string): Promise<Tried> {
  // Without it a new database would be made over the old one.
  if (!existsSync(join(cluster, 'PG_VERSION'))) return { damage: 'the file PG_VERSION is missing' }
  let damage = ''
  for (let attempt = 0; attempt < 2; attempt += 1) {
    try {
      const client = await openCluster(cluster)
      const found = await findDamage(client, cluster)
      if (found === undefined) return { client }
      // Keys follow from their tables: where only they are damaged, they are made anew and nothing is lost.
      if ((await isOnlyAKey(client, found)) && (await remakeKeys(client)) && !(await findDamage(client, cluster))) return { client }
      return { damage: found, client }
    } catch (error) {
      checkFolder(folder)
      const reason = asStartError(error, cluster)
      if (reason instanceof StartError) throw reason
      if (!(error instanceof ClusterError)) throw error
      damage = essence(error.message)
    }
  }
  return { damage }
}

/** The line in which the database says what is wrong. */
function essence(said: string): string {
  const lines = said.split('\n')
  const telling = lines.filter((line) => /PANIC|FATAL|ERROR/.test(line)).at(-1) ?? lines[0] ?? ''
  return telling.replace(/^.*?(?:PANIC|FATAL|ERROR):\s*/, '').slice(0, 200)
}

async function mendFrom(folder: string, damage: string, damaged: PGlite | undefined): Promise<Opened> {
  const [cluster, unpacked] = [join(folder, CLUSTER), join(folder, NEW)]
  const passedOver: string[] = []
  for (const snapshot of listSnapshots(folder, Date.now())) {
    if (!(await isGood(folder, snapshot, unpacked))) {
      passedOver.push(snapshot.name)
      continue
    }
    await damaged?.close().catch(() => undefined)
    const aside = existsSync(cluster) ? `${cluster}-damaged-${new Date().toISOString().replace(/[:.]/g, '-')}` : null
    if (aside) renameSync(cluster, aside)
    renameSync(unpacked, cluster)
    const takenAt = new Date(snapshot.at).toISOString()
    return { client: await openCluster(cluster), fresh: false, mended: { damage, takenAt, aside, passedOver } }
  }
  if (damaged) return { client: damaged, fresh: false, mended: { damage, takenAt: null, aside: null, passedOver } }
  throw new StartError(withoutSnapshot(folder, damage, passedOver))
}

/**
 * Puts a snapshot in the place of the data, because somebody says so; they are put aside, and nothing of them is lost.
 * @throws StartError where there is no such snapshot, or where it is damaged
 */
export async function putBackSnapshot(folder: string, name: string): Promise<void> {
  const [cluster, unpacked] = [join(folder, CLUSTER), join(folder, NEW)]
  const there = listSnapshots(folder, Date.now())
  const snapshot = there.find((one) => one.name === name)
  if (!snapshot) {
    const names = there.map((one) => one.name).join(', ')
    throw new StartError(`There is no snapshot ${name} in ${join(folder, 'snapshots')}. There are: ${names || 'none'}.`)
  }
  if (!(await isGood(folder, snapshot, unpacked)))
    throw new StartError(`The snapshot ${name} is damaged. Nothing was changed; choose another.`)
  if (existsSync(cluster)) renameSync(cluster, `${cluster}-until-${new Date().toISOString().replace(/[:.]/g, '-')}`)
  renameSync(unpacked, cluster)
}

/** Opens and reads through a snapshot in a place of its own. */
async function isGood(folder: string, { name }: Snapshot, unpacked: string): Promise<boolean> {
  rmSync(unpacked, { recursive: true, force: true })
  try {
    await unpackCluster(join(folder, 'snapshots', name), unpacked)
    const client = await openCluster(unpacked)
    const damage = await findDamage(client, unpacked)
    await client.close()
    if (damage === undefined) return true
  } catch (error) {
    rmSync(unpacked, { recursive: true, force: true })
    checkFolder(folder)
    const reason = asStartError(error, folder)
    if (reason instanceof StartError) throw reason
  }
  rmSync(unpacked, { recursive: true, force: true })
  return false
}

function withoutSnapshot(folder: string, damage: string, passedOver: string[]): string {
  const aside = readdirSync(folder).filter((name) => name.startsWith('database-'))
  const none = passedOver.length > 0 ? 'every snapshot is damaged too' : 'there is no snapshot'
  const next =
    aside.length > 0
      ? `give the folder ${join(folder, aside.at(-1)!)} the name “database” again if those are the data you miss`
      : 'keep a copy of the folder and ask somebody who knows PostgreSQL'
  return `The data in ${folder} cannot be opened (${damage}), and ${none}. Nothing was changed: ${next}, or start with --data and another folder.`
}
