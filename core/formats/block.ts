import Papa from 'papaparse'

/**
 * A block copied from a spreadsheet as rows of cells: tabs between the cells, lines between the rows.
 * @example readBlock('61\t50\r\n58\t49\r\n') // => [['61', '50'], ['58', '49']]
 */
export function readBlock(text: string): string[][] {
  return Papa.parse<string[]>(text.replace(/\r?\n$/, ''), { delimiter: '\t' }).data
}
