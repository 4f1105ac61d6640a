import { setResponseHeader, type H3Event } from 'h3'

const BYTE_ORDER_MARK = '\uFEFF'

/** A table as a file: a spreadsheet that opens it by a double click takes it for letters of another alphabet without the mark. */
export function asCsvFile(event: H3Event, attachment: string, table: string): string {
  setResponseHeader(event, 'content-type', 'text/csv; charset=utf-8')
  setResponseHeader(event, 'content-disposition', attachment)
  return BYTE_ORDER_MARK + table
}
