import { loadSetting, saveSetting } from './settings'
import type { Database } from './open'

const WALK = 'walk'
const NOBODY = ''

/** The demo lesson that nobody was shown through yet; null when somebody was, or did not want to be. */
export async function walkOffered(database: Database): Promise<string | null> {
  return (await loadSetting<string>(database, WALK)) || null
}

export function offerWalk(database: Database, lesson: string): Promise<void> {
  return saveSetting(database, WALK, lesson)
}

/** It is never shown twice. */
export function endWalk(database: Database): Promise<void> {
  return saveSetting(database, WALK, NOBODY)
}
