import { existsSync, mkdirSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs'
import { join } from 'node:path'
import { Worker } from 'node:worker_threads'
import type { PGlite } from '@electric-sql/pglite'
import { builtScript } from '../built'
import { packCluster, type CopyEnd } from './packing'

const AN_HOUR = 3_600_000
const A_DAY = 24 * AN_HOUR
/** A school hour and a little less, so that each has one. */
const DUE_AFTER = 50 * 60_000
/** Clocks that are set right differ by so little. */
const A_MOMENT = 2 * 60_000
const PACKER = builtScript('packWorker')

export interface Snapshot {
  name: string
  /** In the order they were taken, whatever the clock said; 0 for those of an earlier version. */
  number: number
  /** When it was taken, by the clock of this computer at that time. */
  at: number
}

/** The newest first: by their numbers, and where they have none by their times, those from the future last. */
export function listSnapshots(folder: string, now: number): Snapshot[] {
  const snapshots = join(folder, 'snapshots')
  if (!existsSync(snapshots)) return []
  const found = readdirSync(snapshots).flatMap((name) => {
    const parts = /^(?:(\d{6})-)?(\d{4}-\d\d-\d\d)T(\d\d)-(\d\d)-(\d\d)-(\d{3})Z\.tar\.gz$/.exec(name)
    if (!parts) return []
    const [, number, day, hours, minutes, seconds, milliseconds] = parts
    return [{ name, number: Number(number ?? 0), at: Date.parse(`${day}T${hours}:${minutes}:${seconds}.${milliseconds}Z`) }]
  })
  const isAhead = ({ at }: Snapshot) => Number(at > now + A_MOMENT)
  return found.sort((a, b) => b.number - a.number || isAhead(a) - isAhead(b) || b.at - a.at)
}

/** Is it time for a further one: there is none, the newest is a school hour old, or the clock was set back since. */
export function isDue(folder: string, now: number): boolean {
  const [newest] = listSnapshots(folder, now)
  return newest === undefined || now - newest.at > DUE_AFTER || newest.at > now + A_MOMENT
}

/**
 * Which snapshots stay: the newest three, the newest of each of the last eight hours, seven days and four weeks. One from the
 * future stands for no hour, day or week and so takes nobody's place.
 */
export function kept(snapshots: Snapshot[], now: number): Set<string> {
  const stay = new Set(snapshots.slice(0, 3).map(({ name }) => name))
  for (const [length, count] of [
    [AN_HOUR, 8],
    [A_DAY, 7],
    [7 * A_DAY, 4],
  ] as const) {
    const filled = new Set<number>()
    for (const { name, at } of snapshots) {
      const ago = Math.floor(now / length) - Math.floor(at / length)
      if (at > now + A_MOMENT || ago >= count || filled.has(ago)) continue
      filled.add(ago)
      stay.add(name)
    }
  }
  return stay
}

/**
 * Packs the whole database into snapshots/ while it goes on, and takes away those that need not stay.
 * @param named stays, whatever its age: of before an upgrade
 * @returns its name
 */
export async function takeSnapshot(client: PGlite, folder: string, now: number, named?: string): Promise<string> {
  const snapshots = join(folder, 'snapshots')
  mkdirSync(snapshots, { recursive: true })
  for (const name of readdirSync(snapshots)) if (name.endsWith('.part')) rmSync(join(snapshots, name))
  const number = (listSnapshots(folder, now)[0]?.number ?? 0) + 1
  const name = `${String(number).padStart(6, '0')}-${new Date(now).toISOString().replace(/[:.]/g, '-')}.tar.gz`
  const half = join(snapshots, `${name}.part`)
  try {
    await pack(client, join(folder, 'database'), half)
    renameSync(half, join(snapshots, name))
  } catch (error) {
    rmSync(half, { force: true })
    throw error
  }
  const all = listSnapshots(folder, now)
  const stay = kept(all, now)
  for (const old of all) if (!stay.has(old.name) && old.name !== named) rmSync(join(snapshots, old.name))
  return name
}

async function pack(client: PGlite, cluster: string, target: string): Promise<void> {
  await client.query(`select pg_backup_start('snapshot', true)`)
  let stopped = false
  const copied = async (): Promise<CopyEnd> => {
    stopped = true
    const { rows } = await client.query<{ label: string; to: string }>(
      `select labelfile as label, pg_walfile_name(lsn) as to from pg_backup_stop(false)`,
    )
    const { label, to } = rows[0]!
    return { label, from: /\(file ([0-9A-F]{24})\)/.exec(label)![1]!, to }
  }
  try {
    await (existsSync(PACKER) ? packBeside(cluster, target, copied) : packCluster(cluster, target, copied))
    if (statSync(target).size === 0) throw new Error('The snapshot is empty.')
  } finally {
    if (!stopped) await client.query('select pg_backup_stop(false)').catch(() => undefined)
  }
}

type Said = { copied: true } | { done: true } | { failed: string }

function packBeside(cluster: string, target: string, copied: () => Promise<CopyEnd>): Promise<void> {
  return new Promise((resolve, reject) => {
    const worker = new Worker(PACKER, { workerData: { cluster, target } })
    worker.on('error', reject)
    worker.on('exit', () => reject(new Error('The packing stopped.')))
    worker.on('message', (said: Said) => {
      if ('copied' in said) void copied().then((end) => worker.postMessage(end), reject)
      else if ('done' in said) resolve()
      else reject(new Error(said.failed))
    })
  })
}
