import { randomUUID } from 'node:crypto'
import { strFromU8, unzipSync } from 'fflate'
import readSheets from 'read-excel-file/node'
import { boundedTable, readCsv, readCupboardCsv, readReadingsCsv, type ReadCsv, type ReadCupboard } from '../../core/formats'
import type { Plan } from '../../core/lesson'

/** A file that somebody brought, to be read. */
export type ReadingTask =
  /** A table out of a file, CSV or spreadsheet, as rows of cells. */
  | { task: 'cells'; bytes: Uint8Array }
  | { task: 'cupboard'; text: string }
  | { task: 'readings'; plan: Plan; text: string; now: string }

export type CellsRead = { ok: true; rows: string[][] } | { ok: false; code: 'not-a-spreadsheet' | 'table-too-large' }

export interface ReadingAnswers {
  cells: CellsRead
  cupboard: ReadCupboard
  readings: ReadCsv
}

/** Reads a file. Whatever it holds, it comes to an end and says what it found. */
export async function readFile(task: ReadingTask): Promise<ReadingAnswers[ReadingTask['task']]> {
  if (task.task === 'cells') return readCells(task.bytes)
  if (task.task === 'cupboard') return readCupboardCsv(task.text)
  return readReadingsCsv(task.plan, task.text, randomUUID, task.now)
}

const ZIP = [0x50, 0x4b]
const MOST_UNZIPPED = 60_000_000
/** A sheet is filled up to its last cell while it is read, empty cells as well. */
const MOST_CELLS = 2_000_000

async function readCells(bytes: Uint8Array): Promise<CellsRead> {
  const zipped = ZIP.every((byte, place) => bytes[place] === byte)
  if (!zipped) return { ok: true, rows: readCsv(decoded(bytes)) }
  try {
    if (!fits(bytes)) return { ok: false, code: 'table-too-large' }
    const [first] = await readSheets(Buffer.from(bytes))
    return { ok: true, rows: boundedTable(first?.data ?? []) }
  } catch {
    return { ok: false, code: 'not-a-spreadsheet' }
  }
}

/** Will it stay within bounds, unpacked and filled up. */
function fits(bytes: Uint8Array): boolean {
  let unpacked = 0
  unzipSync(bytes, { filter: ({ originalSize }) => ((unpacked += originalSize), false) })
  if (unpacked > MOST_UNZIPPED) return false
  const sheets = unzipSync(bytes, { filter: ({ name }) => /worksheets\/[^/]+\.xml$/.test(name) })
  return Object.values(sheets).every((sheet) => {
    let [rows, columns] = [1, 1]
    for (const [, letters, digits] of strFromU8(sheet).matchAll(/\b(?:r|ref)="(?:[A-Z]+\d+:)?([A-Z]*)(\d+)"/g)) {
      rows = Math.max(rows, Number(digits))
      columns = Math.max(columns, columnOf(letters!))
    }
    return rows * columns <= MOST_CELLS
  })
}

/** A column's letters as its number: `XFD` is 16384. */
function columnOf(letters: string): number {
  return [...letters].reduce((number, letter) => number * 26 + letter.charCodeAt(0) - 64, 0)
}

/** UTF-8 as a rule; a table from an older spreadsheet may be in Windows' own letters. */
function decoded(bytes: Uint8Array): string {
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes)
  } catch {
    return new TextDecoder('windows-1252').decode(bytes)
  }
}
