import {
  accessSync,
  closeSync,
  constants,
  existsSync,
  fsyncSync,
  openSync,
  readdirSync,
  rmSync,
  statfsSync,
  writeSync,
} from 'node:fs'
import { join } from 'node:path'
import { StartError } from '../startError'

/** The database takes room in pieces of 16 MB and a little beside. */
const LEAST_ROOM = 24_000_000

/** Is the disk as good as full: what is written now might not be kept. */
export function isFull(folder: string): boolean {
  const { bavail, bsize } = statfsSync(folder)
  return bavail * bsize < LEAST_ROOM
}

/**
 * What keeps an intact database from opening: no permission, a disk that is full or can only be read. Nothing is changed by looking.
 * @throws StartError with one sentence that says what to do
 */
export function checkFolder(folder: string): void {
  if (isFull(folder)) throw new StartError(fullWords(folder))
  const probe = join(folder, `.probe-${process.pid}`)
  try {
    const file = openSync(probe, 'w')
    writeSync(file, Buffer.alloc(8192))
    fsyncSync(file)
    closeSync(file)
  } catch (error) {
    throw asStartError(error, folder)
  } finally {
    rmSync(probe, { force: true })
  }
  const cluster = join(folder, 'database')
  if (existsSync(cluster)) checkFiles(cluster)
}

function checkFiles(path: string): void {
  try {
    accessSync(path, constants.R_OK | constants.W_OK)
    for (const entry of readdirSync(path, { withFileTypes: true })) {
      const inside = join(path, entry.name)
      if (entry.isDirectory()) checkFiles(inside)
      else accessSync(inside, constants.R_OK | constants.W_OK)
    }
  } catch (error) {
    throw asStartError(error, path)
  }
}

/** The reasons that lie in the computer and not in the data, in one sentence; anything else comes back as it is. */
export function asStartError(error: unknown, path: string): unknown {
  if (error instanceof StartError) return error
  const { code = '', message = '' } = error as NodeJS.ErrnoException
  if (code === 'ENOSPC' || code === 'EDQUOT' || /No space left|disk quota/i.test(message)) return new StartError(fullWords(path))
  if (code === 'EROFS' || /Read-only file system/i.test(message))
    return new StartError(
      `${path} can only be read. The data are untouched: make it writable, or start with --data and another folder.`,
    )
  if (code === 'EACCES' || code === 'EPERM' || /Permission denied|Operation not permitted/i.test(message))
    return new StartError(
      `${path} belongs to somebody else and may not be changed. The data are untouched: give it to the account that starts Jolly Beaker.`,
    )
  if (code === 'ENOMEM' || code === 'EMFILE' || code === 'ENFILE' || /out of memory|could not allocate memory/i.test(message))
    return new StartError(
      'This computer has too little memory free. The data are untouched: close other programs, then start again.',
    )
  return error
}

function fullWords(path: string): string {
  return `The disk is full: ${path} needs at least ${LEAST_ROOM / 1e6} MB. The data are untouched: make room, then start again.`
}
