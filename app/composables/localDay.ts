import { dayOf } from '~~/core/clock'

/** Today, by the server's clock and in this device's time zone. */
export function localDay(): string {
  return dayOf(new Date(serverNow()))
}
