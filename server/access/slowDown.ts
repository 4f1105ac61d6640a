import { sql, eq } from 'drizzle-orm'
import { refusalWords } from '../../core/wording'
import type { Database } from '../database/open'
import { codeTries } from '../database/schema'
import { Refusal } from './refusal'

/** So many are free, then each doubles the wait, up to a minute; one is forgiven after so many seconds. */
interface Patience {
  free: number
  forgivenEvery: number
}

export const WRONG: Patience = { free: 5, forgivenEvery: 30 }
/** A classroom's tablets may all come by one address. */
export const JOINS: Patience = { free: 60, forgivenEvery: 5 }
const FIRST_WAIT = 4
const LONGEST_WAIT = 60

/** Until when somebody has to wait, as the database last said: those who hammer do not reach it. */
const waits = new Map<string, number>()
const MOST_KNOWN = 10_000
/** Tries of one and the same are counted one after the other. */
const turns = new Map<string, Promise<void>>()

/**
 * Counts a try before anything is checked, so that many at once are no way round the wait: whoever has to wait is refused, a right
 * one as well, so that nothing is learned by hammering.
 * @throws Refusal with the seconds to wait
 */
export async function countTry(database: Database, who: string, patience: Patience): Promise<void> {
  const before = turns.get(who) ?? Promise.resolve()
  const mine = before.catch(() => undefined).then(() => count(database, who, patience))
  turns.set(who, mine)
  try {
    await mine
  } finally {
    if (turns.get(who) === mine) turns.delete(who)
  }
}

/** @throws Refusal where it is known already that somebody has to wait */
export function refuseWhoWaits(who: string): void {
  const left = (waits.get(who) ?? 0) - Date.now()
  if (left > 0) throw slowedDown(Math.ceil(left / 1000))
  waits.delete(who)
}

/** One statement, so that it is right for any number of processes. */
async function count(database: Database, who: string, { free, forgivenEvery }: Patience): Promise<void> {
  refuseWhoWaits(who)
  const waited = sql`extract(epoch from clock_timestamp() - ${codeTries.last})`
  const wait = sql`case when ${codeTries.count} < ${free} then 0 else least(${LONGEST_WAIT}, ${FIRST_WAIT} * power(2, least(10, ${codeTries.count} - ${free}))) end`
  const [counted] = await database
    .insert(codeTries)
    .values({ who, count: 1, last: sql`clock_timestamp()` as never })
    .onConflictDoUpdate({
      target: codeTries.who,
      set: {
        count: sql`greatest(0, ${codeTries.count} - floor(${waited} / ${forgivenEvery})::int) + 1`,
        last: sql`clock_timestamp()`,
      },
      setWhere: sql`${waited} >= ${wait}`,
    })
    .returning({ count: codeTries.count })
  if (counted) return
  const [left] = await database
    .select({ seconds: sql<number>`ceil(greatest(1, ${wait} - ${waited}))::int` })
    .from(codeTries)
    .where(eq(codeTries.who, who))
  const seconds = left?.seconds ?? 1
  if (waits.size >= MOST_KNOWN) waits.clear()
  waits.set(who, Date.now() + 1000 * seconds)
  throw slowedDown(seconds)
}

function slowedDown(seconds: number): Refusal {
  return new Refusal(429, { code: 'slow-down', message: refusalWords('slow-down', { seconds }) }, seconds)
}

/** It was right: it does not count. */
export async function takeBackTry(database: Database, who: string): Promise<void> {
  await database
    .update(codeTries)
    .set({ count: sql`greatest(0, ${codeTries.count} - 1)` })
    .where(eq(codeTries.who, who))
}

const A_DAY = sql`interval '1 day'`

/** What nobody waits for any more is forgotten. */
export async function forgetOldTries(database: Database): Promise<void> {
  await database.delete(codeTries).where(sql`${codeTries.last} < now() - ${A_DAY}`)
}
