import { existsSync, mkdirSync, readdirSync, renameSync, rmSync, statSync, writeFileSync } from 'node:fs'
import { readFile } from 'node:fs/promises'
import { join } from 'node:path'
import type { PGlite } from '@electric-sql/pglite'

const KEPT = 5
const A_DAY = 86_400_000

/** Writes the whole database into snapshots/ and keeps the newest five. */
export async function takeSnapshot(client: PGlite, folder: string, now: Date): Promise<void> {
  const snapshots = join(folder, 'snapshots')
  mkdirSync(snapshots, { recursive: true })
  const dump = await client.dumpDataDir('gzip')
  const name = `${now.toISOString().replace(/[:.]/g, '-')}.tar.gz`
  const half = join(snapshots, `${name}.part`)
  writeFileSync(half, Buffer.from(await dump.arrayBuffer()))
  renameSync(half, join(snapshots, name))
  for (const old of listSnapshots(folder).slice(KEPT)) rmSync(join(snapshots, old))
}

/** Is the newest snapshot a day old, or is there none. */
export function isDue(folder: string, now: Date): boolean {
  const [newest] = listSnapshots(folder)
  return newest === undefined || now.getTime() - statSync(join(folder, 'snapshots', newest)).mtimeMs > A_DAY
}

/** File names, the newest first. */
export function listSnapshots(folder: string): string[] {
  const snapshots = join(folder, 'snapshots')
  if (!existsSync(snapshots)) return []
  return readdirSync(snapshots)
    .filter((name) => name.endsWith('.tar.gz'))
    .sort()
    .reverse()
}

export async function readSnapshot(folder: string, name: string): Promise<Blob> {
  return new Blob([new Uint8Array(await readFile(join(folder, 'snapshots', name)))])
}
