import Papa from 'papaparse'

/** A cell that a spreadsheet would take for a formula, and a number with its sign is none, gets an apostrophe in front, and loses it on the way back. */
const A_FORMULA = String.raw`(?:[=@\t\r]|[+-](?!\d+(?:[.,]\d+)?(?:e[+-]?\d+)?$))`
const FORMULA = new RegExp(`^${A_FORMULA}`)
export const GUARDED = new RegExp(`^'(?=${A_FORMULA})`)

/** Who opens a table: a spreadsheet, which would take some cells for formulas, or a program, which takes them as they are. */
export type Opener = 'spreadsheet' | 'program'

/** Rows as CSV that a spreadsheet opens without harm. `writeTable([['time', 'words'], ['10:02', 'a, b']])` */
export function writeTable(rows: string[][], opener: Opener = 'spreadsheet'): string {
  return `${Papa.unparse(rows, { newline: '\r\n', escapeFormulae: opener === 'spreadsheet' && FORMULA })}\r\n`
}
