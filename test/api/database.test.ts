import { cpSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { afterAll, expect, it } from 'vitest'
import { listTerm } from '../../server/database/summaries'
import { addLesson } from '../../server/record/wholeLesson'
import { openDatabase } from '../../server/database/open'
import { soakUpPlan } from '../soakUp'
import { temporaryFolder } from '../application'

const { folder, remove } = temporaryFolder()
const migrations = `${folder}-migrations`
const snapshots = () => readdirSync(join(folder, 'snapshots'))
const open = () => openDatabase({ folder, migrations, onLost: () => expect.unreachable('the folder is ours') })
const EVER = { from: '', to: '', className: '' }
afterAll(remove)

it('takes a snapshot before a migration, and comes back from it when the folder is damaged', async () => {
  mkdirSync(dirname(folder), { recursive: true })
  cpSync('server/database/migrations', migrations, { recursive: true })
  const first = await open()
  expect(first.fresh).toBe(true)
  await addLesson(first.database, soakUpPlan({ title: 'Kept' }))
  await first.close()

  const second = await open()
  const before = snapshots().length
  await second.close()

  const journal = join(migrations, 'meta', '_journal.json')
  const content = JSON.parse(readFileSync(journal, 'utf8')) as { entries: { idx: number; when: number; tag: string }[] }
  content.entries.push({ ...content.entries[0]!, idx: 1, when: content.entries[0]!.when + 1, tag: '0001_more' })
  writeFileSync(journal, JSON.stringify(content))
  writeFileSync(join(migrations, '0001_more.sql'), 'ALTER TABLE "lessons" ADD COLUMN "more" text;')
  const third = await open()
  expect(snapshots()).toHaveLength(before + 1)
  await addLesson(third.database, soakUpPlan({ title: 'After the snapshot' }))
  await third.close()

  rmSync(join(folder, 'database', 'global', 'pg_control'))
  const fourth = await open()
  expect(fourth.warning).toMatch(/put aside as .*database-damaged-.* and the snapshot .* was taken instead/)
  expect((await listTerm(fourth.database, EVER)).map(({ face }) => face.title)).toEqual(['Kept'])
  await fourth.close()
  expect(readdirSync(folder).some((name) => name.startsWith('database-damaged-'))).toBe(true)
})
