import { refusalWords } from '../../core/wording'
import { Refusal } from './refusal'

const FREE_TRIES = 5
const FORGIVEN_EVERY = 30_000
const LONGEST_WAIT = 60_000
const MOST_KEPT = 10_000

interface Tries {
  wrong: number
  last: number
}

const tries = new Map<string, Tries>()

/**
 * Slows wrong codes and passphrases down: five are free, then each doubles the wait, up to a minute; one is forgiven every half
 * minute. While somebody has to wait, right ones are refused as well, so that nothing is learned by hammering.
 */
export function requireNoWait(who: string, now = Date.now()): void {
  const left = waitOf(tries.get(who), now)
  if (left <= 0) return
  const seconds = Math.ceil(left / 1000)
  throw new Refusal(429, { code: 'slow-down', message: refusalWords('slow-down', { seconds }) }, seconds)
}

export function wasWrong(who: string, now = Date.now()): void {
  if (tries.size > MOST_KEPT) tries.delete(tries.keys().next().value!)
  tries.set(who, { wrong: remembered(tries.get(who), now) + 1, last: now })
}

function remembered(one: Tries | undefined, now: number): number {
  return one ? Math.max(0, one.wrong - Math.floor((now - one.last) / FORGIVEN_EVERY)) : 0
}

function waitOf(one: Tries | undefined, now: number): number {
  if (!one || one.wrong < FREE_TRIES) return 0
  return one.last + Math.min(LONGEST_WAIT, 1000 * 2 ** (one.wrong - FREE_TRIES)) - now
}
