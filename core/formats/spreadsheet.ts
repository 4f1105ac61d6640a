import Papa from 'papaparse'

/** A cell that a spreadsheet would take for a formula gets an apostrophe in front, and loses it on the way back. */
export const FORMULA = /^[=+@\t\r]/
export const GUARDED = /^'(?=[=+@\t\r])/

/** Rows as CSV that a spreadsheet opens without harm. `writeTable([['time', 'words'], ['10:02', 'a, b']])` */
export function writeTable(rows: string[][]): string {
  return `${Papa.unparse(rows, { newline: '\r\n', escapeFormulae: FORMULA })}\r\n`
}
