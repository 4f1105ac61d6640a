import { sql } from 'drizzle-orm'
import type { Database, OpenDatabase } from './open'

const CHANNEL = 'jolly_beaker'

/** What one process tells all, itself included, when what it stored is stored. */
export type Announcement =
  | { what: 'lesson'; lesson: string }
  /** It was put away, or taken out again. */
  | { what: 'archived'; lesson: string }
  /** It went to another desk. */
  | { what: 'handed-over'; lesson: string }
  /** A class's desk got another passphrase, or is no more. */
  | { what: 'desk'; desk: string }
  /** The cupboard, a calendar or what lessons take changed. */
  | { what: 'school' }
  /** Class mode was turned on or off, or a passphrase changed. */
  | { what: 'access' }
  /** These stations of a lesson are at this process at this moment. */
  | { what: 'here'; lesson: string; process: string; stations: string[] }
  /** A station said that it is there; its stream is at another process. */
  | { what: 'heard-of'; lesson: string; station: string }
  /** A process that has just come asks who is there. */
  | { what: 'who' }

type Heard = (announcement: Announcement) => void
const listeners = new Set<Heard>()
const comingBack = new Set<() => void>()

/** Calls back with whatever any process announces. */
export function hear(listener: Heard): void {
  listeners.add(listener)
}

/** Calls back when announcements may have been missed: the database was away. */
export function afterAway(listener: () => void): void {
  comingBack.add(listener)
}

/** Inside a transaction it is told when that is stored, and not at all when it fails. */
export async function announce(database: Database, announcement: Announcement): Promise<void> {
  await database.execute(sql`select pg_notify(${CHANNEL}, ${JSON.stringify(announcement)})`)
}

export async function beginHearing({ listen }: OpenDatabase): Promise<void> {
  const heard = (payload: string) => {
    const announcement = JSON.parse(payload) as Announcement
    for (const listener of listeners) listener(announcement)
  }
  await listen(CHANNEL, heard, () => comeBack())
}

/** Everybody looks anew. */
export function comeBack(): void {
  for (const listener of comingBack) listener()
}
