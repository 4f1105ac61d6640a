import { cpSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { sql } from 'drizzle-orm'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { kept, type Snapshot } from '../../server/database/folder/snapshots'
import type { Mended } from '../../schemas/contract'
import { epochOf } from '../../server/database/epoch'
import { dismissNotice, listNotices } from '../../server/database/notices'
import { openDatabase } from '../../server/database/open'
import { readings } from '../../server/database/schema'
import { listTerm } from '../../server/database/summaries'
import { addLesson } from '../../server/record/wholeLesson'
import { temporaryFolder } from '../application'
import { FAULTS, fileOf, leftOut, NOISE, overwrite } from '../faults/faults'
import { copyOf, makeLibrary, snapshotsOf } from '../faults/library'
import type { MadeLibrary } from '../faults/row'
import { soakUpPlan } from '../soakUp'

const { folder, remove } = temporaryFolder()
const library = temporaryFolder()
let made: MadeLibrary
const EVER = { from: '', to: '', className: '' }

beforeAll(async () => {
  mkdirSync(dirname(folder), { recursive: true })
  made = { ...(await makeLibrary(library.folder)), folder: library.folder }
}, 120_000)
afterAll(() => {
  remove()
  library.remove()
})

describe('whatever befalls the data', () => {
  const few = FAULTS.filter((fault) => fault.short)
  it('has a short form of every kind', () => expect(few.length).toBeGreaterThan(4))

  it.each(few.map((fault) => [fault.name, fault] as const))('%s: what is promised holds', async (_, fault) => {
    if (leftOut(fault)) return
    expect(await fault.run(made)).toMatchObject({ wrong: [] })
  })
})

it('damage that is met while it runs is mended in the same way, below whoever asks', async () => {
  const copy = copyOf(made.folder)
  let reopened = (_mended: Mended | undefined) => {}
  const whenReopened = new Promise<Mended | undefined>((resolve) => (reopened = resolve))
  const { database, close } = await openDatabase({
    folder: copy,
    migrations: 'server/database/migrations',
    onLost: () => expect.unreachable('the folder is ours'),
    onReopened: (mended) => reopened(mended),
  })
  const before = await epochOf(database)
  overwrite(join(copy, await fileOf(made.folder, 'readings')), NOISE, 0)
  // As a query says it that meets a page which cannot be read.
  const meets = database.execute(sql.raw(`do $$ begin raise exception 'invalid page' using errcode = 'XX001'; end $$`))
  await expect(meets).rejects.toMatchObject({ cause: { reason: 'reopening' } })
  expect(await whenReopened).toMatchObject({ takenAt: expect.any(String), aside: expect.stringContaining('damaged') })
  expect(await database.$count(readings)).toBe(made.before)
  expect(await epochOf(database)).not.toBe(before)
  const [notice] = await listNotices(database)
  expect(notice).toMatchObject({ damage: expect.stringContaining('invalid page') })
  expect([await dismissNotice(database, notice!.id), await listNotices(database)]).toEqual([true, []])
  await close()
  rmSync(dirname(copy), { recursive: true })
})

it('takes a snapshot before a migration, and comes back from it', async () => {
  const migrations = `${folder}-migrations`
  const open = () =>
    openDatabase({ folder, migrations, onLost: () => expect.unreachable('the folder is ours'), onReopened: () => undefined })
  cpSync('server/database/migrations', migrations, { recursive: true })
  const first = await open()
  expect(first.fresh).toBe(true)
  await addLesson(first.database, soakUpPlan({ title: 'Kept' }))
  await first.close()

  const before = snapshotsOf(folder).length
  const journal = join(migrations, 'meta', '_journal.json')
  const content = JSON.parse(readFileSync(journal, 'utf8')) as { entries: { idx: number; when: number; tag: string }[] }
  content.entries.push({ ...content.entries[0]!, idx: 99, when: content.entries.at(-1)!.when + 1, tag: '0099_more' })
  writeFileSync(journal, JSON.stringify(content))
  writeFileSync(join(migrations, '0099_more.sql'), 'ALTER TABLE "lessons" ADD COLUMN "more" text;')
  const second = await open()
  expect(snapshotsOf(folder)).toHaveLength(before + 1)
  await addLesson(second.database, soakUpPlan({ title: 'After the snapshot' }))
  await second.close()

  rmSync(join(folder, 'database', 'global', 'pg_control'))
  const third = await open()
  expect(third.mended).toMatchObject({ aside: expect.stringContaining('database-damaged-'), passedOver: [] })
  expect((await listTerm(third.database, EVER, null)).map(({ face }) => face.title)).toEqual(['Kept'])
  await third.close()
})

it('keeps snapshots of the last hours, days and weeks, and none from the future takes the place of one of them', () => {
  const AN_HOUR = 3_600_000
  const now = Date.parse('2026-03-12T15:30:00.000Z')
  // Every school hour for two months.
  const hours = Array.from({ length: 24 * 60 }, (_, back) => now - back * AN_HOUR).filter((at) => {
    const hour = new Date(at).getUTCHours()
    return hour >= 8 && hour < 16
  })
  const snapshots: Snapshot[] = hours.map((at, place) => ({ name: `s${place}`, number: hours.length - place, at }))
  const stay = kept(snapshots, now)
  const ages = snapshots.filter(({ name }) => stay.has(name)).map(({ at }) => (now - at) / AN_HOUR)
  expect(ages.filter((age) => age < 8)).toHaveLength(8)
  expect(ages.filter((age) => age < 7 * 24).length).toBeGreaterThanOrEqual(13)
  expect(Math.max(...ages)).toBeGreaterThan(13 * 24)
  expect(stay.size).toBeLessThan(20)

  const future = Array.from({ length: 9 }, (_, place) => ({
    name: `future${place}`,
    number: 9000 - place,
    at: now + (1 + place) * 365 * 24 * AN_HOUR,
  }))
  const still = kept([...future, ...snapshots], now)
  for (const age of [0, 1, 5]) expect(still.has(snapshots.find(({ at }) => now - at === age * AN_HOUR)!.name)).toBe(true)
  expect([...still].filter((name) => name.startsWith('future'))).toHaveLength(3)
})
