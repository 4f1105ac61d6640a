import { execFileSync } from 'node:child_process'
import {
  chmodSync,
  closeSync,
  cpSync,
  existsSync,
  ftruncateSync,
  openSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  writeFileSync,
  writeSync,
} from 'node:fs'
import { dirname, join } from 'node:path'
import { PGlite } from '@electric-sql/pglite'
import { strToU8, zipSync } from 'fflate'
import type { LessonFile } from '../../core/formats'
import { clientFor, reading } from '../api/client'
import { startApplication, type Application } from '../application'
import { deskAt, raceOwnQuestions, racePlanAgainstRows, raceSplitsAgainstRows, sumOf, TAKEN_AWAY, type Raced } from '../races'
import { fill, mountTmpfs, unmount } from './disks'
import { hostile, withLastCorner } from './hostileTable'
import { addReadings, copyOf, isRoot, mayMount, sleep, snapshotsOf, startOn, type Outcome } from './library'
import { powerCut } from './powerCut'
import { row, type Fault, type MadeLibrary } from './row'

const PAGE = 8192
const CLUSTER = 'database'

/** Where the database keeps a table or an index, below its folder. */
export async function fileOf(folder: string, name: string): Promise<string> {
  const copy = copyOf(folder)
  const client = await PGlite.create(join(copy, CLUSTER))
  const { rows } = await client.query<{ file: string }>('select pg_relation_filepath($1::regclass) as file', [name])
  await client.close()
  rmSync(dirname(copy), { recursive: true })
  return join(CLUSTER, rows[0]!.file)
}

/** A fault of the folder: damages a copy, starts on it, and looks what came of it. */
function damaged(
  name: string,
  damage: (folder: string, made: MadeLibrary) => Promise<void> | void,
  { short = false, mayLose }: { short?: boolean; mayLose?: number } = {},
): Fault {
  return {
    name,
    short,
    run: async (made) => {
      const folder = copyOf(made.folder)
      await damage(folder, made)
      const outcome = await startOn(folder, made)
      const again = await startOn(folder, made)
      rmSync(dirname(folder), { recursive: true })
      return row(name, made, outcome, mayLose ?? made.all - made.before, {
        'does not start': outcome.started,
        'loses something and says nothing of it':
          outcome.readings === made.all || /What you see is from .*came later|cannot be read/.test(outcome.said),
        'does not say it on the shelf': outcome.readings === made.all || outcome.notices > 0,
        'is not the same at the next start': again.readings === outcome.readings,
      })
    },
  }
}

/** Something that happens while it runs, and must leave what is stored whole. */
function during(
  name: string,
  happens: (application: Application) => Promise<{ said: string; wrong: Record<string, boolean> }>,
): Fault {
  return {
    name,
    run: async (made) => {
      const folder = copyOf(made.folder)
      const application = await startApplication({ data: folder })
      const { said, wrong } = await happens(application)
      await application.stop()
      const outcome = await startOn(folder, made)
      rmSync(dirname(folder), { recursive: true })
      return row(name, made, { ...outcome, said }, 0, wrong)
    },
  }
}

/** A backup of so many lessons that are nowhere else. */
async function manyLessonsAsBackup(base: string, count: number): Promise<Uint8Array> {
  const { call, newLesson } = clientFor(base)
  const files: Record<string, Uint8Array> = {}
  const ids: string[] = []
  const { lesson } = await newLesson()
  await call('POST', `/api/lessons/${lesson.id}/readings`, { readings: Array.from({ length: 300 }, () => reading(lesson.plan)) })
  const { body: file } = await call<LessonFile>('GET', `/api/lessons/${lesson.id}/file`)
  for (let place = 0; place < count; place += 1) {
    ids.push(crypto.randomUUID())
    const fresh = { ...file, readings: file.readings.map((one) => ({ ...one, id: crypto.randomUUID() })) }
    files[`lessons/${ids.at(-1)}.beaker.json`] = strToU8(JSON.stringify(fresh))
  }
  const library = {
    ...{ format: 'jolly-beaker-library', version: 1, savedAt: '2026-03-12T12:00:00.000Z', calendars: [] },
    ...{ lessons: ids.map((id) => ({ id, archived: false })), cupboard: { things: [], moves: [] }, held: { before: 0, after: 0 } },
  }
  return zipSync({ 'library.json': strToU8(JSON.stringify(library)), ...files })
}

export function overwrite(path: string, bytes: Buffer, place: number): void {
  const file = openSync(path, 'r+')
  writeSync(file, bytes, 0, bytes.length, place)
  closeSync(file)
}

export const NOISE = Buffer.from(Array.from({ length: PAGE }, (_, place) => (place * 73 + 41) % 256))

/** What keeps an intact database from opening must change nothing. */
function untouched(
  name: string,
  needs: Fault['needs'],
  hinder: (folder: string, made: MadeLibrary) => Promise<{ outcome: Outcome; folder: string; end(): void; disk?: string }>,
  short = false,
): Fault {
  return {
    name,
    needs,
    short,
    run: async (made) => {
      const copy = copyOf(made.folder)
      const names = readdirSync(copy).filter((one) => !one.startsWith('in-use'))
      const { outcome, folder, end, disk } = await hinder(copy, made)
      const left = readdirSync(folder).filter((one) => !one.startsWith('in-use'))
      end()
      const after = await startOn(folder, made)
      if (disk) unmount(disk)
      rmSync(dirname(copy), { recursive: true })
      const checks = {
        'starts all the same': !outcome.started,
        'does not say why and what to do': /(?:untouched: |Change its permissions)[^.]*\.$/.test(outcome.said),
        'renames or makes something': JSON.stringify(names.sort()) === JSON.stringify(left.sort()),
      }
      return row(name, made, { ...after, said: outcome.said }, 0, checks)
    },
  }
}

export const FAULTS: Fault[] = [
  damaged('nothing at all', () => undefined, { short: true, mayLose: 0 }),
  damaged('PG_VERSION is missing', (folder) => rmSync(join(folder, CLUSTER, 'PG_VERSION'))),
  damaged('the folder “database” is missing', (folder) => rmSync(join(folder, CLUSTER), { recursive: true }), { short: true }),
  damaged('pg_control is missing', (folder) => rmSync(join(folder, CLUSTER, 'global', 'pg_control'))),
  damaged('the log (pg_wal) is missing', (folder) => {
    for (const name of readdirSync(join(folder, CLUSTER, 'pg_wal')))
      rmSync(join(folder, CLUSTER, 'pg_wal', name), { recursive: true })
  }),
  damaged(
    'a page of the readings is noise',
    async (folder, made) => overwrite(join(folder, await fileOf(made.folder, 'readings')), NOISE.subarray(0, 512), 4096),
    { short: true },
  ),
  damaged('a page of the readings is empty', async (folder, made) =>
    overwrite(join(folder, await fileOf(made.folder, 'readings')), Buffer.alloc(PAGE), 0),
  ),
  damaged('the readings end too early', async (folder, made) => {
    const file = openSync(join(folder, await fileOf(made.folder, 'readings')), 'r+')
    ftruncateSync(file, PAGE)
    closeSync(file)
  }),
  damaged('the file of the readings is missing', async (folder, made) =>
    rmSync(join(folder, await fileOf(made.folder, 'readings'))),
  ),
  damaged('the lessons are one empty page', async (folder, made) =>
    overwrite(join(folder, await fileOf(made.folder, 'lessons')), Buffer.alloc(PAGE), 0),
  ),
  damaged(
    'the keys of the readings are noise, which follow from the readings',
    async (folder, made) => overwrite(join(folder, await fileOf(made.folder, 'readings_pkey')), NOISE, PAGE),
    { short: true, mayLose: 0 },
  ),
  damaged('the catalogue of tables is noise', async (folder, made) =>
    overwrite(join(folder, await fileOf(made.folder, 'pg_class')), NOISE, 0),
  ),
  {
    name: 'damage, and the newest snapshot is damaged too',
    short: true,
    run: async (made) => {
      const folder = copyOf(made.folder)
      const names = snapshotsOf(folder)
      const newest = names.at(-1) ?? '2026-01-01T00-00-00-000Z.tar.gz'
      const newer = /^\d{6}-/.test(newest)
        ? `${String(Number(newest.slice(0, 6)) + 1).padStart(6, '0')}${newest.slice(6)}`
        : `9${newest}`
      writeFileSync(join(folder, 'snapshots', newer), readFileSync(join(folder, 'snapshots', newest)).subarray(0, 200_000))
      rmSync(join(folder, CLUSTER, 'global', 'pg_control'))
      const outcome = await startOn(folder, made)
      rmSync(dirname(folder), { recursive: true })
      return row('damage, and the newest snapshot is damaged too', made, outcome, made.all - made.before, {
        'does not start': outcome.started,
        'says nothing of it': /damaged too/.test(outcome.said),
      })
    },
  },
  {
    name: 'damage, and no snapshot is left',
    run: async (made) => {
      const folder = copyOf(made.folder)
      const kept = `${folder}-snapshots`
      renameSync(join(folder, 'snapshots'), kept)
      const control = readFileSync(join(folder, CLUSTER, 'global', 'pg_control'))
      rmSync(join(folder, CLUSTER, 'global', 'pg_control'))
      const outcome = await startOn(folder, made)
      const next = await startOn(folder, made)
      const untouched = existsSync(join(folder, CLUSTER, 'PG_VERSION'))
      if (untouched) writeFileSync(join(folder, CLUSTER, 'global', 'pg_control'), control)
      const after = await startOn(folder, made)
      rmSync(dirname(folder), { recursive: true })
      return row('damage, and no snapshot is left', made, { ...after, said: outcome.said }, 0, {
        'begins afresh': !outcome.started && !next.started,
        'touches the damaged data': untouched,
      })
    },
  },
  {
    name: 'the clock was years ahead, and is right again',
    run: async (made) => {
      const folder = copyOf(made.folder)
      const ahead = 5 * 365 * 86_400_000
      const code = `const D=Date,o=${ahead};globalThis.Date=class extends D{constructor(...a){a.length?super(...a):super(D.now()+o)}static now(){return D.now()+o}}`
      const future = { NODE_OPTIONS: `--import data:text/javascript,${encodeURIComponent(code)}` }
      const application = await startApplication({ data: folder, environment: future })
      await addReadings(application, made.lesson, 6)
      const before = snapshotsOf(folder).length
      for (let rest = 0; rest < 1200 && snapshotsOf(folder).length === before; rest += 1) await sleep(100)
      await application.stop()
      const now = await startApplication({ data: folder })
      const added = await addReadings(now, made.lesson, 6)
      const later = snapshotsOf(folder).length
      for (let rest = 0; rest < 1200 && snapshotsOf(folder).length === later; rest += 1) await sleep(100)
      await now.stop()
      rmSync(join(folder, CLUSTER, 'global', 'pg_control'))
      const outcome = await startOn(folder, made)
      rmSync(dirname(folder), { recursive: true })
      return row('the clock was years ahead, and is right again', { ...made, all: made.all + 6 + added }, outcome, 0, {
        'does not start': outcome.started,
      })
    },
  },
  untouched('the disk is full', 'mount', async (copy, made) => {
    const place = `${copy}-disk`
    mountTmpfs(place, 200)
    const folder = join(place, 'data')
    cpSync(copy, folder, { recursive: true })
    const filler = fill(place)
    const outcome = await startOn(folder, made)
    return { outcome, folder, disk: place, end: () => rmSync(filler) }
  }),
  untouched('it belongs to somebody else', 'root', async (folder, made) => {
    chmodSync(dirname(folder), 0o755)
    execFileSync('chown', ['-R', 'nobody', folder])
    execFileSync('chown', ['root:root', join(folder, CLUSTER, 'PG_VERSION')])
    chmodSync(join(folder, CLUSTER, 'PG_VERSION'), 0o600)
    const nobody = ['setpriv', '--reuid=nobody', '--clear-groups', '--inh-caps=-all']
    const outcome = await startOn(folder, made, nobody, { HOME: '/tmp' })
    return { outcome, folder, end: () => execFileSync('chown', ['-R', 'root', folder]) }
  }),
  untouched('the disk can only be read', 'mount', async (copy, made) => {
    const place = `${copy}-disk`
    mountTmpfs(place, 200)
    const folder = join(place, 'data')
    cpSync(copy, folder, { recursive: true })
    execFileSync('mount', ['-o', 'remount,ro', place])
    const outcome = await startOn(folder, made)
    return { outcome, folder, disk: place, end: () => execFileSync('mount', ['-o', 'remount,rw', place]) }
  }),
  untouched('there is too little memory', undefined, async (folder, made) => {
    const outcome = await startOn(folder, made, ['prlimit', `--as=${4 * 2 ** 30}`])
    return { outcome, folder, end: () => undefined }
  }),
  {
    name: 'the disk fills up while it runs',
    needs: 'mount',
    run: async (made) => {
      const copy = copyOf(made.folder)
      const place = `${copy}-disk`
      mountTmpfs(place, 260)
      const folder = join(place, 'data')
      cpSync(copy, folder, { recursive: true })
      const application = await startApplication({ data: folder })
      let acknowledged = await addReadings(application, made.lesson, 5)
      const filler = fill(place)
      await sleep(1200)
      const whileFull = await fetch(`${application.base}/api/lessons/${made.lesson.id}/conclusions`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ id: crypto.randomUUID(), group: null, from: null, text: 'x', hands: null, agreed: false }),
      })
      const said = ((await whileFull.json()) as { message?: string }).message ?? ''
      acknowledged += await addReadings(application, made.lesson, 5)
      const began = Date.now()
      rmSync(filler)
      let accepted = 0
      for (let rest = 0; rest < 600 && accepted === 0; rest += 1) {
        accepted = await addReadings(application, made.lesson, 1)
        await sleep(100)
      }
      const back = (Date.now() - began) / 1000
      const printed = application.printed()
      await application.stop()
      const outcome = await startOn(folder, made)
      unmount(place)
      rmSync(dirname(copy), { recursive: true })
      return row(
        'the disk fills up while it runs',
        { ...made, all: made.all + acknowledged + accepted },
        { ...outcome, said, seconds: back },
        0,
        {
          'does not say it at the desk': /disk is full/i.test(said),
          'does not say it on the terminal': /disk is full/i.test(printed),
          'does not go on by itself': accepted === 1,
        },
      )
    },
  },
  hostile('a spreadsheet with a cell in its last corner', async (base, lesson) => {
    const sheet = new Uint8Array(await (await fetch(`${base}/api/lessons/${lesson}/spreadsheet`)).arrayBuffer())
    return { path: '/api/tables', body: JSON.stringify({ data: Buffer.from(withLastCorner(sheet)).toString('base64') }) }
  }),
  hostile('a table of fifty megabytes', () =>
    Promise.resolve({
      path: '/api/cupboard/file',
      body: JSON.stringify({ text: `thing,stock\n${'ruler,3\n'.repeat(6_200_000)}` }),
    }),
  ),
  hostile('a table of fourteen megabytes', () =>
    Promise.resolve({
      path: '/api/cupboard/file',
      body: JSON.stringify({ text: `thing,stock\n${'ruler,3\n'.repeat(1_500_000)}` }),
    }),
  ),
  during('plans lose places while rows of them are written', async (application) => {
    const desk = deskAt(application.base)
    const all: Raced[] = []
    for (const what of Object.keys(TAKEN_AWAY))
      for (const after of [0, 0, 5]) all.push(await racePlanAgainstRows(desk, desk, what, after))
    const { saved, taken, lost, homeless } = sumOf(all)
    return {
      said: `${saved} plans saved, ${taken} rows taken, ${homeless} without a home`,
      wrong: { 'leaves rows without a home': homeless === 0, 'loses what was acknowledged': lost === 0 },
    }
  }),
  during('groups are split off and joined while they write', async (application) => {
    const desk = deskAt(application.base)
    const { splits, taken, lost, doubled, homeless } = await raceSplitsAgainstRows(desk, desk, 5)
    const asked = await raceOwnQuestions([desk])
    return {
      said: `${splits} times, ${taken} rows taken meanwhile; of 5 questions asked at once ${asked.running} run`,
      wrong: {
        'leaves rows behind': lost === 0 && homeless === 0,
        'has rows twice': doubled === 0,
        'forgets a question': asked.running === 5 && asked.joined === 5,
      },
    }
  }),
  {
    name: 'killed while a backup is put back',
    short: true,
    run: async (made) => {
      const folder = copyOf(made.folder)
      const first = await startApplication({ data: folder })
      const backup = await manyLessonsAsBackup(first.base, 12)
      const shelf = async (base: string) => (await clientFor(base).call<{ all: number }>('GET', '/api/lessons')).body.all
      const before = await shelf(first.base)
      void fetch(`${first.base}/api/library`, { method: 'POST', body: new Uint8Array(backup) }).catch(() => undefined)
      await sleep(700)
      first.process.kill('SIGKILL')
      await first.stop()
      const second = await startApplication({ data: folder })
      const after = await shelf(second.base)
      const restored = await fetch(`${second.base}/api/library`, { method: 'POST', body: new Uint8Array(backup) })
      const { added } = (await restored.json()) as { added: number }
      const whole = await shelf(second.base)
      await second.stop()
      const outcome = await startOn(folder, made)
      rmSync(dirname(folder), { recursive: true })
      const said = `${after - before} of its lessons are there; put back again, ${added} came`
      return row('killed while a backup is put back', made, { ...outcome, said }, 0, {
        'leaves half of it': after === before || after === before + 12,
        'cannot be put back again': restored.status === 200 && whole === before + 12,
      })
    },
  },
  {
    name: 'the power is cut (copy of the disk while it writes)',
    needs: 'mount',
    run: async (made) => powerCut('the power is cut (copy of the disk while it writes)', made, 'disk'),
  },
  {
    name: 'killed (copy of the folder while it writes)',
    short: true,
    run: async (made) => powerCut('killed (copy of the folder while it writes)', made, 'process'),
  },
]

/** Can this fault be made here; the word that is said instead where it cannot. */
export function leftOut({ needs }: Fault): string | undefined {
  if (needs === 'root' && !isRoot) return 'needs root'
  if (needs === 'mount' && !mayMount) return 'needs root and a disk of its own'
  return undefined
}
