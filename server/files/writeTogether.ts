import type { Database } from '../database/open'
import type { StoredTogether } from '../database/togethers'
import { TOGETHER_FORMAT, TOGETHER_VERSION, type TogetherFile } from './togetherFile'
import { wholeFile } from './wholeFile'

export async function wholeTogether(database: Database, { body, lessons }: StoredTogether, savedAt: string): Promise<TogetherFile> {
  const files: TogetherFile['lessons'] = []
  for (const { id } of lessons) files.push({ id, lesson: await wholeFile(database, id, savedAt) })
  return { format: TOGETHER_FORMAT, version: TOGETHER_VERSION, savedAt, together: body, lessons: files }
}
