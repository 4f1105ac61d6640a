import { asc, eq } from 'drizzle-orm'
import { announce } from './hearing'
import { Known } from './known'
import { knownLessons } from './lessons'
import type { Database } from './open'
import { desks, lessons, togethers } from './schema'

export type Desk = typeof desks.$inferSelect

const known = new Known<Desk>()

export function findDesk(database: Database, id: string): Promise<Desk | undefined> {
  return known.find(id, async () => {
    const [desk] = await database.select().from(desks).where(eq(desks.id, id))
    return desk
  })
}

export async function listDesks(database: Database): Promise<{ id: string; name: string }[]> {
  return database.select({ id: desks.id, name: desks.name }).from(desks).orderBy(asc(desks.name))
}

/** Adds a desk, or gives it another name or passphrase. False where another desk has this name. */
export async function saveDesk(database: Database, desk: Desk): Promise<boolean> {
  const saved = await database.transaction(async (transaction) => {
    const [same] = await transaction.select({ id: desks.id }).from(desks).where(eq(desks.name, desk.name))
    if (same && same.id !== desk.id) return false
    await transaction.insert(desks).values(desk).onConflictDoUpdate({ target: desks.id, set: desk })
    await announce(transaction, { what: 'desk', desk: desk.id })
    return true
  })
  known.forget(desk.id)
  return saved
}

/** Takes a desk away; its lessons go to the head desk. */
export async function removeDesk(database: Database, id: string): Promise<boolean> {
  const gone = await database.transaction(async (transaction) => {
    await transaction.update(lessons).set({ desk: null }).where(eq(lessons.desk, id))
    await transaction.update(togethers).set({ desk: null }).where(eq(togethers.desk, id))
    await announce(transaction, { what: 'desk', desk: id })
    return transaction.delete(desks).where(eq(desks.id, id)).returning({ id: desks.id })
  })
  known.forgetAll()
  knownLessons.forgetAll()
  return gone.length > 0
}
