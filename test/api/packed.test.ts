import { execFileSync } from 'node:child_process'
import { mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, statSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { brotliDecompressSync } from 'node:zlib'
import { strFromU8, unzipSync } from 'fflate'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { version } from '../../package.json'
import type { HowItIs, ShelfPage } from '../../schemas/contract'
import { openCluster } from '../../server/database/folder/cluster'
import { freePort, launch, startApplication } from '../application'
import { clientFor } from './client'

/** The archive that a school installs, unpacked elsewhere, on a data folder of a version before. */
const FOLDER = 'test/before/version-7.folder.tar.br'
const MOST_MEGABYTES = 25
const elsewhere = mkdtempSync(join(tmpdir(), 'jolly-beaker-packed-'))
const data = join(elsewhere, 'data')
const start = [join(elsewhere, `jolly-beaker-${version}`, 'start')]
const archive = join('dist', `jolly-beaker-${version}.tar.gz`)
const log = join(elsewhere, 'log.jsonl')
const snapshots = () => readdirSync(join(data, 'snapshots')).sort()

beforeAll(() => {
  execFileSync(process.execPath, ['scripts/pack.mjs'])
  execFileSync('tar', ['-xzf', archive, '-C', elsewhere])
  mkdirSync(data)
  execFileSync('tar', ['-xf', '-', '-C', data], { input: brotliDecompressSync(readFileSync(FOLDER)) })
})
afterAll(() => rmSync(elsewhere, { recursive: true, force: true }))

it('is small, and holds nothing that builds or tests', () => {
  expect(statSync(archive).size / 1e6).toBeLessThan(MOST_MEGABYTES)
  const inside = execFileSync('tar', ['-tzf', archive], { encoding: 'utf8', maxBuffer: 50e6 })
  expect(inside).not.toMatch(/\/(?:vitest|playwright|typescript|nuxt)\/|\.map$|\.test\./m)
})

it('opens a folder of a version before, keeps a snapshot of it, and is refused by that version afterwards, which can go back', async () => {
  const application = await startApplication({ data, start, args: ['--log', log] })
  const { call } = clientFor(application.base)
  expect((await call('GET', '/api/health')).body).toMatchObject({ answers: true, version })
  expect((await call<ShelfPage>('GET', '/api/lessons')).body.all).toBe(3)
  expect((await (await fetch(application.base)).text()).toLowerCase()).toContain('<!doctype html')
  await call('POST', '/api/lessons', { investigation: 'soak-up-strips', className: 'Puffin', children: 20 })

  // What whoever looks after it sees, and may send to whoever helps: routes and times, and nothing of a lesson.
  const how = (await call<HowItIs>('GET', '/api/how-it-is')).body
  expect(how).toMatchObject({ version, database: { kind: 'folder', lessons: 4 }, log })
  expect(how.snapshots!.count).toBeGreaterThan(0)
  expect(how.routes).toContainEqual(expect.objectContaining({ route: 'POST /api/lessons', count: 1, failed: 0 }))
  const bundle = new Uint8Array(await (await fetch(`${application.base}/api/how-it-is/bundle`)).arrayBuffer())
  const files = Object.entries(unzipSync(bundle)).map(([name, bytes]) => [name, strFromU8(bytes)] as const)
  expect(files.map(([name]) => name)).toEqual(['how-it-is.json', 'log.jsonl'])
  expect(files.map(([, text]) => text).join()).not.toMatch(/Puffin|Soak-up/)
  const lines = readFileSync(log, 'utf8')
    .trim()
    .split('\n')
    .map((line) => JSON.parse(line) as { msg: string })
  expect(lines.map(({ msg }) => msg)).toContain('started')
  expect(await application.stop()).toBe(0)
  const [taken] = snapshots()

  // As if a version to come had used it.
  const client = await openCluster(join(data, 'database'))
  await client.query(`update settings set value = jsonb_set(value, '{planVersion}', '999') where name = 'opened-with'`)
  await client.close()
  const refused = launch(['--port', String(await freePort()), '--data', data, '--no-demo'], [], {}, start)
  expect(await refused.ended).toBe(1)
  expect(refused.printed()).toContain('last used by a newer Jolly Beaker')
  expect(refused.printed()).toContain(`--snapshot ${taken}`)

  const back = await startApplication({ data, start, args: ['--snapshot', taken!] })
  expect((await clientFor(back.base).call<ShelfPage>('GET', '/api/lessons')).body.all).toBe(3)
  expect(await back.stop()).toBe(0)
  expect(readdirSync(data).filter((name) => name.startsWith('database-until-'))).toHaveLength(1)
})
