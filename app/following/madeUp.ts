import type { LocationQuery } from 'vue-router'
import type { Plan } from '~~/core/lesson'
import { madeUpClass, type MadeUp } from '~~/core/rehearsal'
import { serverNow } from '~/following/serverClock'

/** An address that shows the made-up class of the desk, while there is one, in place of the real one. */
export function madeUpAddress(madeUp: MadeUp | undefined, address: string): string {
  if (!madeUp) return address
  return `${address}${address.includes('?') ? '&' : '?'}made-up=${madeUp.seed}`
}

/** The made-up class that an address asks for. */
export function drawnFrom(query: LocationQuery, plan: Plan): MadeUp | undefined {
  const seed = Number(query['made-up'])
  return Number.isInteger(seed) && seed > 0 ? madeUpClass(plan, seed, beginningOf(plan)) : undefined
}

/** When the lesson begins, or would begin today. */
export function beginningOf({ date, clock }: Plan): string {
  const day = date || new Date(serverNow()).toISOString().slice(0, 10)
  return new Date(`${day}T${clock.start || '09:00'}:00`).toISOString()
}
