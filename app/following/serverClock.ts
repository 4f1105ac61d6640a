const WORTH_MENDING = 2000
const HALF_A_SECOND = 500
const MINUTE = 60_000
let ahead = 0
let minutesEast = -new Date().getTimezoneOffset()

/** Learns from an answer what the server's clock shows: tablets are often minutes off, or stand in another zone or year. */
export function setServerClock(date: string | null, zone: string | null): void {
  const server = Date.parse(date ?? '')
  if (Number.isNaN(server)) return
  const found = server + HALF_A_SECOND - Date.now()
  if (Math.abs(found - ahead) > WORTH_MENDING) ahead = found
  const minutes = Number(zone ?? Number.NaN)
  if (!Number.isNaN(minutes)) minutesEast = minutes
}

/** The time by the server's clock, in milliseconds, whatever this device's own says. */
export function serverNow(): number {
  return Date.now() + ahead
}

/** The school's own day, `YYYY-MM-DD`: the server's, whatever day this device believes it is. */
export function schoolDay(): string {
  return new Date(serverNow() + minutesEast * MINUTE).toISOString().slice(0, 'YYYY-MM-DD'.length)
}
