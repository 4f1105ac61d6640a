/** The database cannot answer now, and why. Nothing was stored; whoever asked may ask again. */
export class DatabaseAway extends Error {
  constructor(readonly reason: 'reopening' | 'disk-full' | 'connection') {
    super(`The database cannot answer now: ${reason}.`)
  }
}

/** A connection that broke off, or a server that starts or stops. */
const CONNECTION =
  /^(?:CONNECTION_|CONNECT_TIMEOUT|ECONNREFUSED|ECONNRESET|EPIPE|ENOENT|ENOTFOUND|ETIMEDOUT|57P0[1-5]$|08\d\d\d$|53300$)/
/** A table, its index or its file cannot be read. */
const DAMAGED = /^(?:XX00[12]|58P01|58030)$/

/** What an error of the database or of its connection means; undefined for a query that it refused. */
export function troubleOf(error: unknown): 'damaged' | 'stopped' | 'disk-full' | 'connection' | undefined {
  for (let cause = error; cause instanceof Error; cause = cause.cause) {
    const code = String((cause as { code?: unknown }).code ?? '')
    if (code === '53100' || code === 'ENOSPC' || /No space left on device/.test(cause.message)) return 'disk-full'
    if (DAMAGED.test(code)) return 'damaged'
    if (CONNECTION.test(code)) return 'connection'
    if (/PGlite is clos|Aborted\(|memory access out of bounds|unreachable|Program terminated with exit/.test(cause.message))
      return 'stopped'
  }
  return undefined
}

/** Is it only that the database cannot be asked at the moment. */
export function isAway(error: unknown): boolean {
  for (let cause = error; cause instanceof Error; cause = cause.cause) if (cause instanceof DatabaseAway) return true
  return troubleOf(error) === 'connection'
}
