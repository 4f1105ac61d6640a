import { createHash, randomBytes } from 'node:crypto'
import { eq } from 'drizzle-orm'
import type { Database } from './open'
import { stations } from './schema'

export interface Station {
  lesson: string
  group: string
}

/** A token for one lesson and one group. Only its hash is kept. */
export async function addStation(database: Database, { lesson, group }: Station): Promise<string> {
  const token = randomBytes(32).toString('hex')
  await database.insert(stations).values({ tokenHash: hashOf(token), lesson, group, at: new Date() })
  return token
}

export async function findStation(database: Database, token: string): Promise<Station | undefined> {
  const [row] = await database
    .select()
    .from(stations)
    .where(eq(stations.tokenHash, hashOf(token)))
  return row && { lesson: row.lesson, group: row.group }
}

function hashOf(token: string): string {
  return createHash('sha256').update(token).digest('hex')
}
