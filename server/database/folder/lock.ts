import { readFileSync, rmSync, writeFileSync } from 'node:fs'
import { hostname } from 'node:os'
import { join } from 'node:path'
import lockfile from 'proper-lockfile'
import { StartError } from '../startError'

interface Holder {
  pid: number
  host: string
}

const STALE_AFTER = 10_000
/** Folders that this process has. */
const held = new Set<string>()

/**
 * Takes the data folder for this process alone: two processes in one PGlite folder ruin it. The lock of a process that is gone is
 * taken over.
 * @returns lets the folder go again
 * @throws  StartError when another process has it
 */
export async function lockFolder(folder: string, onLost: () => void): Promise<() => Promise<void>> {
  if (held.has(folder)) throw inUse(folder, undefined)
  const lockPath = join(folder, 'in-use.lock')
  const holderFile = join(folder, 'in-use.json')
  const options = { lockfilePath: lockPath, stale: STALE_AFTER, update: STALE_AFTER / 4, onCompromised: onLost }
  const take = () => lockfile.lock(folder, options)
  const release = await take().catch(async (error: NodeJS.ErrnoException) => {
    if (error.code !== 'ELOCKED') throw error
    const holder = readHolder(holderFile)
    if (!holder || holder.host !== hostname() || isRunning(holder.pid)) throw inUse(folder, holder)
    rmSync(lockPath, { recursive: true, force: true })
    return take().catch(() => {
      throw inUse(folder, readHolder(holderFile))
    })
  })
  writeFileSync(holderFile, JSON.stringify({ pid: process.pid, host: hostname() } satisfies Holder))
  held.add(folder)
  return async () => {
    held.delete(folder)
    rmSync(holderFile, { force: true })
    await release().catch(() => undefined)
  }
}

function inUse(folder: string, holder: Holder | undefined): StartError {
  const who = holder ? ` (process ${holder.pid} on ${holder.host})` : ''
  return new StartError(
    `The data folder ${folder} is in use by another Jolly Beaker${who}. Close that one first, or start with --data and another folder.`,
  )
}

function readHolder(file: string): Holder | undefined {
  try {
    return JSON.parse(readFileSync(file, 'utf8')) as Holder
  } catch {
    return undefined
  }
}

function isRunning(pid: number): boolean {
  if (pid === process.pid) return false
  try {
    process.kill(pid, 0)
    return true
  } catch (error) {
    return (error as NodeJS.ErrnoException).code === 'EPERM'
  }
}
