const WORTH_MENDING = 2000
const HALF_A_SECOND = 500
let ahead = 0

/** Learns from an answer's date how far the server's clock is ahead: tablets are often minutes off. */
export function setServerClock(date: string | null): void {
  const server = Date.parse(date ?? '')
  if (Number.isNaN(server)) return
  const found = server + HALF_A_SECOND - Date.now()
  if (Math.abs(found - ahead) > WORTH_MENDING) ahead = found
}

/** The time by the server's clock, in milliseconds, whatever this device's own says. */
export function serverNow(): number {
  return Date.now() + ahead
}
