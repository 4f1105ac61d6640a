import { execFileSync } from 'node:child_process'
import { closeSync, mkdirSync, openSync, writeSync } from 'node:fs'
import { join } from 'node:path'

export const mountTmpfs = (place: string, megabytes: number) => {
  mkdirSync(place, { recursive: true })
  execFileSync('mount', ['-t', 'tmpfs', '-o', `size=${megabytes}m`, 'none', place])
}

export const unmount = (place: string) => execFileSync('umount', ['-l', place])

/** Fills the disk of a folder to the last byte. @returns the file to remove */
export function fill(folder: string): string {
  const path = join(folder, 'filler')
  const file = openSync(path, 'w')
  const piece = Buffer.alloc(1_000_000, 1)
  try {
    for (;;) writeSync(file, piece)
  } catch {
    closeSync(file)
  }
  return path
}
