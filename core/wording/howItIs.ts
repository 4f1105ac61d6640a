import { writeNumber } from '../quantity'
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

/** Where the data lie. `dataWords('folder', 48_600_000, 1) // 'in a folder of this computer, 49 MB, 1 lesson'` */
export function dataWords(kind: 'folder' | 'server', bytes: number | null, lessons: number): string {
  const where = kind === 'folder' ? 'in a folder of this computer' : 'on a database server'
  return [where, bytes === null ? '' : sizeWords(bytes), counted(lessons, 'lesson')].filter(Boolean).join(', ')
}
