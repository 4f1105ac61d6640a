import { randomBytes, randomUUID } from 'node:crypto'
import { strToU8, zipSync } from 'fflate'
import { writeLessonFile, type LessonFile } from '../../core/formats'
import type { Reading } from '../../core/lesson'
import { clientFor, reading } from '../../test/api/client'
import { startApplication, temporaryFolder, type Application } from '../../test/application'
import { bigLesson } from './computations'
import { milliseconds, quantile, type Row, type Size } from './figures'

/** The largest lesson that a file may hold, and how many ordinary ones a backup has beside it. */
const SIZES = {
  full: { readings: 20_000, pictures: 20, ordinary: 60 },
  small: { readings: 400, pictures: 1, ordinary: 3 },
}
const PICTURE_BYTES = 2_900_000
const WANTED = { write: 300, stretch: 50 }

/** Stations that write while a large file is opened, and while a backup is put back. */
export async function benchFiles(size: Size): Promise<Row[]> {
  const { folder, remove } = temporaryFolder()
  const application = await startApplication({ data: folder, environment: { JOLLY_BEAKER_MEASURE: 'yes' } })
  try {
    const { readings, pictures, ordinary } = SIZES[size]
    const largest = JSON.stringify(lessonFile(readings, pictures))
    const backup = backupOf([largest, ...Array.from({ length: ordinary }, () => JSON.stringify(lessonFile(84, 0)))])
    const quiet = await whileStationsWrite(application, new Promise((over) => setTimeout(over, size === 'full' ? 8000 : 1000)))
    const { call } = clientFor(application.base)
    const body = JSON.stringify({ text: largest })
    // Connections that the server gave up while this page was busy with that are noticed first.
    await new Promise((next) => setTimeout(next, 200))
    const opened = await whileStationsWrite(application, call('POST', '/api/lessons/open', body))
    const restored = await whileStationsWrite(
      application,
      fetch(`${application.base}/api/library`, { method: 'POST', body: new Uint8Array(backup) }).then((answer) => answer.json()),
    )
    const of = (bytes: number) => `${(bytes / 1e6).toFixed(0)} MB`
    return [
      ...rowsOf(`a lesson file of ${of(largest.length)} is opened`, opened, quiet),
      ...rowsOf(`a backup of ${of(backup.length)} with ${ordinary + 1} lessons is put back`, restored, quiet),
    ]
  } finally {
    await application.stop()
    remove()
  }
}

function lessonFile(count: number, pictures: number): LessonFile {
  const { plan, record } = bigLesson({ groups: 10, conditions: 15, repeats: 20 })
  const rows = Array.from({ length: count }, (_, place): Reading => ({
    ...record.readings[place % record.readings.length]!,
    id: randomUUID(),
  }))
  const seen = Array.from({ length: pictures }, () => ({ id: randomUUID(), data: pictureData() }))
  const observations = seen.map(({ id }) => ({
    ...{
      id: randomUUID(),
      group: plan.groups[0]!.id,
      condition: null,
      repeat: null,
      kind: 'photo' as const,
      text: '',
      picture: id,
    },
    ...{ by: 'station' as const, at: '2026-03-12T10:55:00.000Z' },
  }))
  return writeLessonFile(plan, { ...record, readings: rows, observations }, seen, '2026-03-12T12:00:00.000Z')
}

/** Bytes that do not get smaller, in the shape of a PNG. */
function pictureData(): string {
  const head = Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 0, 0, 0, 0])
  head.writeUInt32BE(PICTURE_BYTES, 8)
  const bytes = Buffer.concat([head, Buffer.from('IDAT'), randomBytes(PICTURE_BYTES), Buffer.alloc(4)])
  return `data:image/png;base64,${bytes.toString('base64')}`
}

function backupOf(lessons: string[]): Uint8Array {
  const ids = lessons.map(() => randomUUID())
  const library = {
    ...{ format: 'jolly-beaker-library', version: 1, savedAt: '2026-03-12T12:00:00.000Z' },
    lessons: ids.map((id) => ({ id, archived: false })),
    cupboard: { things: [], moves: [] },
    ...{ calendars: [], held: { before: 0, after: 0 } },
  }
  const files = Object.fromEntries(lessons.map((text, place) => [`lessons/${ids[place]}.beaker.json`, strToU8(text)]))
  return zipSync({ 'library.json': strToU8(JSON.stringify(library)), ...files }, { level: 1 })
}

interface Waited {
  writes: number[]
  seconds: number
  longest: number
  answer: unknown
}

const STATIONS = 4
const EVERY = 100

async function whileStationsWrite(application: Application, work: Promise<unknown>): Promise<Waited> {
  const { newLesson, joinStation, call } = clientFor(application.base)
  const { lesson } = await newLesson()
  await stretch(application)
  const writes: number[] = []
  let over = false
  const write = async (place: number) => {
    const group = lesson.plan.groups[place]!.id
    const token = await joinStation(lesson.code, group)
    // On a slow machine the work is over before anybody came.
    do {
      const start = performance.now()
      const { status } = await call('POST', '/api/station/readings', { readings: [reading(lesson.plan, { group })] }, token)
      if (status !== 200) throw new Error(`A station was refused: ${status}`)
      writes.push(performance.now() - start)
      await new Promise((next) => setTimeout(next, EVERY))
    } while (!over)
  }
  const began = performance.now()
  const writing = Promise.all(Array.from({ length: STATIONS }, (_, place) => write(place)))
  const answer = await work
  const seconds = (performance.now() - began) / 1000
  over = true
  await writing
  return { writes, seconds, longest: await stretch(application), answer }
}

/** The longest time in which the server heard nobody, since it was last asked. */
async function stretch({ process: server, printed }: Application): Promise<number> {
  const before = printed().length
  server.kill('SIGUSR2')
  while (!/longest \d+ ms/.test(printed().slice(before))) await new Promise((next) => setTimeout(next, 20))
  return Number(/longest (\d+) ms/.exec(printed().slice(before))![1])
}

function rowsOf(what: string, { writes, seconds, longest, answer }: Waited, quiet: Waited): Row[] {
  const usual = quantile(quiet.writes, 0.95)
  const waited = quantile(writes, 0.95)
  const refused = typeof answer === 'object' && answer !== null && 'code' in answer
  return [
    {
      what: `an entry, 95 in 100, while ${what}`,
      figure: refused ? JSON.stringify(answer).slice(0, 80) : milliseconds(waited),
      wanted: `under ${WANTED.write} ms`,
      reference: `${(waited / usual).toFixed(1)} x with nothing else going on (${milliseconds(usual)}); it took ${seconds.toFixed(1)} s`,
      missed: refused || waited > WANTED.write,
    },
    {
      what: 'the longest stretch in which the server heard nobody',
      figure: `${longest} ms`,
      wanted: `none over ${WANTED.stretch} ms`,
      reference: `${quiet.longest} ms with nothing else going on`,
      // What the machine itself holds up, the disk above all, is none of the file's.
      missed: longest > Math.max(WANTED.stretch, 1.5 * quiet.longest),
    },
  ]
}
