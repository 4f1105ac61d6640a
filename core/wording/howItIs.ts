import { writeNumber } from '../quantity'
import { momentOfDayWords } from './days'
import { counted } from './names'

const MEGABYTE = 1_000_000

/** A size on disk or in memory. `sizeWords(48_600_000) // '49 MB'` */
export function sizeWords(bytes: number): string {
  return `${writeNumber(Math.max(1, bytes / MEGABYTE), 0)} MB`
}

/** How long something took. `tookWords(1234) // '1234 ms'` */
export function tookWords(milliseconds: number): string {
  return `${writeNumber(milliseconds, 0)} ms`
}

/** How many snapshots there are. `snapshotWords({ count: 0, newest: null }) // 'none yet'`; null on a server. */
export function snapshotWords(snapshots: { count: number; newest: string | null } | null): string {
  if (!snapshots) return 'the school’s own backups of its database server'
  return snapshots.newest ? `${snapshots.count}, the newest of ${momentOfDayWords(snapshots.newest)}` : 'none yet'
}

/** Where the data lie. `dataWords('folder', 48_600_000, 1) // 'in a folder of this computer, 49 MB, 1 lesson'` */
export function dataWords(kind: 'folder' | 'server', bytes: number | null, lessons: number): string {
  const where = kind === 'folder' ? 'in a folder of this computer' : 'on a database server'
  return [where, bytes === null ? '' : sizeWords(bytes), counted(lessons, 'lesson')].filter(Boolean).join(', ')
}
