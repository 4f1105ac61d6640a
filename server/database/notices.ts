import { randomUUID } from 'node:crypto'
import type { Mended, Notice } from '../../schemas/contract'
import type { Database } from './open'
import { loadSetting, saveSetting } from './settings'

const NAME = 'notices'

/** What a teacher has to be told until somebody has read it. */
export async function listNotices(database: Database): Promise<Notice[]> {
  return (await loadSetting<Notice[]>(database, NAME)) ?? []
}

export async function addNotice(database: Database, mended: Mended): Promise<void> {
  const notices = await listNotices(database)
  const same = notices.some(({ damage, takenAt, aside }) => damage === mended.damage && takenAt === null && aside === mended.aside)
  if (!same) await saveSetting(database, NAME, [...notices, { ...mended, id: randomUUID(), at: new Date().toISOString() }])
}

export async function dismissNotice(database: Database, id: string): Promise<boolean> {
  const notices = await listNotices(database)
  const left = notices.filter((notice) => notice.id !== id)
  await saveSetting(database, NAME, left)
  return left.length < notices.length
}
