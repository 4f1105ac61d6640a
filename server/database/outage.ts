import { afterAway } from './hearing'
import { log } from '../lookedAfter/log'
import { isAway } from './away'

let isOut = false
let backSince = -Infinity
/** Connections of before end one after the other: what they still say is about the same outage. */
const SETTLES_WITHIN = 60_000

/** The database server cannot be reached: said once, however many ask meanwhile. */
export function sayAway(): void {
  if (isOut || performance.now() - backSince < SETTLES_WITHIN) return
  isOut = true
  log.error(
    'The database server cannot be reached. Whoever asks meanwhile is told to come back; nothing that was acknowledged is lost.',
  )
}

/** What nobody caught: a connection that breaks off in the middle of a word is one more sign of the same. */
export function catchOutages(): void {
  for (const event of ['uncaughtException', 'unhandledRejection'] as const) {
    process.removeAllListeners(event)
    process.on(event, (error: unknown) => {
      if (isAway(error) || isOfDriver(error)) sayAway()
      else log.error({ err: error }, event)
    })
  }
}

/** The driver writes to a connection that is gone already, once for each that it had (postgres 3.4.9, `nextWrite`). */
function isOfDriver(error: unknown): boolean {
  return error instanceof TypeError && /node_modules\/postgres\/src\/connection\.js/.test(error.stack ?? '')
}

afterAway(() => {
  if (isOut) log.warn('The database server is back.')
  isOut = false
  backSince = performance.now()
})
