import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate'

/** A spreadsheet whose first sheet has two cells, the first and the very last that there can be. */
export function withLastCorner(spreadsheet: Uint8Array): Uint8Array {
  const inside = unzipSync(spreadsheet)
  const first = Object.keys(inside).find((name) => /worksheets\/sheet1\.xml$/.test(name))!
  const cells = '<row r="1"><c r="A1"><v>1</v></c></row><row r="1048576"><c r="XFD1048576"><v>1</v></c></row>'
  const xml = strFromU8(inside[first]!).replace(/<sheetData>.*<\/sheetData>/s, `<sheetData>${cells}</sheetData>`)
  return zipSync({ ...inside, [first]: strToU8(xml) })
}
