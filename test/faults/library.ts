import { execFileSync, spawnSync } from 'node:child_process'
import { cpSync, existsSync, mkdtempSync, readFileSync, readdirSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { PGlite } from '@electric-sql/pglite'
import { clientFor, reading, type WholeLesson } from '../api/client'
import { freePort, launch, startApplication, type Application } from '../application'

export const isRoot = process.getuid?.() === 0

/** A disk of its own can be made here: root, and the kernel lets it. */
export const mayMount = isRoot && tryMount()

function tryMount(): boolean {
  const place = mkdtempSync(join(tmpdir(), 'jolly-beaker-mount-'))
  const { status } = spawnSync('mount', ['-t', 'tmpfs', '-o', 'size=1m', 'none', place])
  if (status === 0) execFileSync('umount', [place])
  rmSync(place, { recursive: true, force: true })
  return status === 0
}

export interface Library {
  lesson: WholeLesson['lesson']
  /** Readings that were in it before its snapshot was taken, and all. */
  before: number
  all: number
}

const SNAPSHOT_WITHIN = 300_000

export function snapshotsOf(folder: string): string[] {
  const snapshots = join(folder, 'snapshots')
  return existsSync(snapshots)
    ? readdirSync(snapshots)
        .filter((name) => name.endsWith('.tar.gz'))
        .sort()
    : []
}

/** A library with a lesson and its readings, a snapshot, and further readings after that. */
export async function makeLibrary(folder: string): Promise<Library> {
  const first = await startApplication({ data: folder })
  const { lesson } = await clientFor(first.base).newLesson()
  await addReadings(first, lesson, 120)
  await first.stop()
  const second = await startApplication({ data: folder })
  for (let rest = 0; rest < SNAPSHOT_WITHIN && snapshotsOf(folder).length === 0; rest += 100) await sleep(100)
  await addReadings(second, lesson, 12)
  await second.stop()
  const newest = snapshotsOf(folder).at(-1)
  if (!newest) throw new Error(`No snapshot was taken within ${SNAPSHOT_WITHIN / 1000} s.`)
  return { lesson, before: await readingsIn(join(folder, 'snapshots', newest)), all: 132 }
}

/** How many readings a snapshot really has: it may have been taken while they were written. */
async function readingsIn(snapshot: string): Promise<number> {
  const client = await PGlite.create({ loadDataDir: new Blob([readFileSync(snapshot)]) })
  const { rows } = await client.query<{ all: number }>('select count(*)::int as all from readings')
  await client.close()
  return rows[0]!.all
}

/** Writes readings one request after the other; answers how many were acknowledged. */
export async function addReadings({ base }: Application, { id, plan }: WholeLesson['lesson'], count: number): Promise<number> {
  let acknowledged = 0
  for (let number = 0; number < count; number += 1) {
    const place = { group: plan.groups[number % plan.groups.length]!.id, repeat: 1 + (number % 3) }
    const { status } = await clientFor(base)
      .call('POST', `/api/lessons/${id}/readings`, { readings: [reading(plan, { ...place, value: number })] })
      .catch(() => ({ status: 0 }))
    if (status === 200) acknowledged += 1
  }
  return acknowledged
}

export async function countReadings(base: string, { id }: WholeLesson['lesson']): Promise<number> {
  const { status, body } = await clientFor(base).call<WholeLesson>('GET', `/api/lessons/${id}`)
  return status === 200 ? body.record.readings.length : 0
}

/** What came of a start: what was said, how long it took, how many readings are there. */
export interface Outcome {
  started: boolean
  said: string
  seconds: number
  readings: number
  /** What the shelf says until somebody has read it. */
  notices: number
}

const GIVE_UP_AFTER = 300_000
const USUAL = /^(?:Opening the class data|Jolly Beaker is ready|Closing|Installing|Building)/

/** Starts on a folder, looks what is there, and stops again. */
export async function startOn(
  folder: string,
  { lesson }: Library,
  under: string[] = [],
  environment: NodeJS.ProcessEnv = {},
): Promise<Outcome> {
  const port = await freePort()
  const began = Date.now()
  const started = launch(['--port', String(port), '--data', folder, '--no-demo'], under, environment)
  while (!started.printed().includes('is ready:') && started.process.exitCode === null && Date.now() - began < GIVE_UP_AFTER)
    await sleep(50)
  const seconds = (Date.now() - began) / 1000
  const base = `http://localhost:${port}`
  const ready = started.process.exitCode === null && started.printed().includes('is ready:')
  const readings = ready ? await countReadings(base, lesson) : 0
  const notices = ready
    ? ((await clientFor(base).call<{ notices?: unknown[] }>('GET', '/api/notices')).body.notices ?? []).length
    : 0
  started.process.kill(ready ? 'SIGTERM' : 'SIGKILL')
  await started.ended
  const said = started
    .printed()
    .split('\n')
    .filter((line) => line.trim() !== '' && !USUAL.test(line))
    .join(' ')
  return { started: ready, said, seconds, readings, notices }
}

/** A copy of a folder, with everything in it. */
export function copyOf(folder: string): string {
  const copy = join(mkdtempSync(join(tmpdir(), 'jolly-beaker-fault-')), 'data')
  cpSync(folder, copy, { recursive: true, preserveTimestamps: true })
  return copy
}

export function sleep(milliseconds: number): Promise<void> {
  return new Promise((next) => setTimeout(next, milliseconds))
}
