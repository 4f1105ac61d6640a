import Papa from 'papaparse'

const MOST_ROWS = 5000
const MOST_COLUMNS = 100
const LONGEST_CELL = 500

/**
 * Any CSV as rows of cells, whatever stands between them: commas, semicolons or tabs.
 * @example readCsv('Team;tissue\nAlder;6,1') // => [['Team', 'tissue'], ['Alder', '6,1']]
 */
export function readCsv(text: string): string[][] {
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: 'greedy', preview: MOST_ROWS })
  return boundedTable(data)
}

/** A table small enough to look at: what is beyond its bounds is cut off. */
export function boundedTable(rows: unknown[][]): string[][] {
  return rows
    .slice(0, MOST_ROWS)
    .map((row) => row.slice(0, MOST_COLUMNS).map((cell) => cellText(cell).slice(0, LONGEST_CELL)))
    .filter((row) => row.some((cell) => cell.trim() !== ''))
}

function cellText(cell: unknown): string {
  if (cell instanceof Date) return cell.toISOString().slice(0, 10)
  return typeof cell === 'string' || typeof cell === 'number' || typeof cell === 'boolean' ? String(cell) : ''
}
