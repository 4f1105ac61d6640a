import { seededRandom } from '../../core/chance'
import { readFileSync } from 'node:fs'
import { GROUP_NAMES, withGroups, type Plan } from '../../core/lesson'
import { clientFor, type WholeLesson } from '../api/client'
import { makeManyLessons } from '../../scripts/bench/manyLessons'
import { freePort, startApplication, temporaryFolder, type Application } from '../application'
import { startPostgres } from '../postgres'
import { deskAt, runningAt } from '../races'
import { keepChanging, type Changed } from './changing'
import { followEvents } from './eventLine'
import { SoakStation } from './station'
import { watchPages, type PageFigures } from './pages'

export interface SoakOptions {
  seconds: number
  stations: number
  /** Open a board and a desk in a browser and note their long tasks. */
  pages: boolean
  /** Two processes on a PostgreSQL server, which restarts once; without it one process on a folder. */
  postgres?: boolean
  /** In how many lessons that run together, with one code, the stations are; one lesson alone where nothing is said. */
  investigations?: number
  /** How many lessons of other classes stand on the shelf, which a second desk opens again and again, and the term with it. */
  lessons: number
}

export interface SoakFigures {
  entered: number
  acknowledged: number
  lost: number
  doubled: number
  outOfOrder: number
  refused: number
  stillWaiting: number
  /** Rows in a lesson that has no such group. */
  homeless: number
  /** What a desk changed all the while. */
  changed: Changed
  /** Acknowledged, and never on the board. */
  unseen: number
  /** Milliseconds from entry to board, outside the outages. */
  median: number
  percentile95: number
  measured: number
  /** Megabytes of the server after its last start and a warm-up, and at the end. */
  memoryBefore: number
  memoryAfter: number
  pages: PageFigures | undefined
  /** How often the second desk opened shelf and term, and how long it waited, in milliseconds. */
  shelf: { opened: number; median: number }
  /** Milliseconds that the server worked at a stretch, from the warm-up on. */
  stretches: { p99: number; longest: number }
}

const EVERY = 2000
const BUSY_EVERY = 500
/** Shares of the whole time. */
const KILLS = [0.2, 0.4]
const RESTART = 0.47
const BUSY = { from: 0.5, share: 0.1 }
const WARM = 0.65
const CUT = { seconds: 8, from: 0.05, share: 0.85 }
const SETTLES = 4000
/** Between two lists that the second desk opens. */
const LOOK_AGAIN = 300

/** A whole class at its stations while the server is killed twice and every station loses the network once. */
export async function soak({
  seconds,
  stations: count,
  pages,
  lessons,
  postgres = false,
  investigations = 1,
}: SoakOptions): Promise<SoakFigures> {
  const { folder, remove } = temporaryFolder()
  const port = await freePort()
  process.env.JOLLY_BEAKER_MEASURE = 'yes'
  const server = postgres ? await startPostgres() : undefined
  const databaseUrl = await server?.database('soak')
  const environment = databaseUrl ? { DATABASE_URL: databaseUrl } : {}
  if (lessons > 0) await makeManyLessons(folder, lessons, databaseUrl)
  let application = await startApplication({ data: folder, port, environment })
  /** The process at which the board and every second station is, where there are two. */
  const second = server && (await startApplication({ data: folder, environment }))
  const { base } = application
  const baseOf = (place: number) => (second && place % 2 === 1 ? second.base : base)
  const random = seededRandom(7)
  const whole = seconds * 1000
  try {
    const { ids, together, desk, tokens } = await prepare(base, count, investigations)
    const [id] = ids
    const readingsTogether = async () =>
      (await runningAt(deskAt(baseOf(1), desk), together!)).lessons.flatMap(({ record }) => record.readings.map((row) => row.id))
    const board = followEvents(
      `${baseOf(1)}/api/${together ? `together/${together}` : `lessons/${id}`}/events`,
      desk,
      together ? readingsTogether : undefined,
    )
    const lines = tokens.map(({ headers }, place) =>
      followEvents(`${baseOf(place)}/api/station/events?token=${headers.authorization!.slice(7)}`, {}),
    )
    const watched = pages ? await watchPages(base, id!, desk) : undefined
    const stations = tokens.map(
      ({ group, headers, plan }, place) => new SoakStation(baseOf(place), headers, plan, group, () => 40 + 20 * random()),
    )
    const outages: [number, number][] = []
    const start = performance.now()
    const passed = () => performance.now() - start
    let memoryBefore = 0
    const lists = lookThrough(base, desk, () => passed() < whole)
    const changing = keepChanging(second ? [base, second.base] : [base], desk, { ids, together }, () => passed() < whole)
    const work = stations.map(async (station, place) => {
      const cutAt = whole * (CUT.from + (CUT.share * (place + 0.5)) / count)
      await sleep((EVERY * place) / count)
      let wasCut = false
      while (passed() < whole) {
        station.enter()
        if (!wasCut && passed() > cutAt) {
          wasCut = true
          station.setCut(true)
          const from = performance.now()
          setTimeout(() => {
            station.setCut(false)
            station.outages.push([from, performance.now() + SETTLES])
          }, CUT.seconds * 1000)
        }
        await sleep(isBusy(passed() / whole) ? BUSY_EVERY : EVERY)
      }
    })
    for (const share of KILLS) {
      await sleep(whole * share - passed())
      const from = performance.now()
      application = await killed(application, folder, port, environment)
      outages.push([from, performance.now() + SETTLES])
    }
    if (server) {
      await sleep(whole * RESTART - passed())
      const from = performance.now()
      server.restart()
      outages.push([from, performance.now() + SETTLES])
    }
    await sleep(whole * WARM - passed())
    memoryBefore = memoryOf(application)
    await stretchesOf(application)
    await Promise.all(work)
    const changed = await changing
    const stretches = await stretchesOf(application)
    const unseen = () => stations.flatMap(({ entries }) => entries.filter(({ id }) => !board.arrived.has(id))).length
    for (let rest = 0; rest < 600 && (stations.some(({ waiting }) => waiting > 0) || unseen() > 0); rest += 1) await sleep(500)
    await sleep(1000)
    const memoryAfter = memoryOf(application)
    const pageFigures = await watched?.close()
    board.close()
    for (const line of lines) line.close()

    const stored = []
    let homeless = 0
    // A split whose answer got lost with a kill leaves its groups apart: they run together with the rest all the same.
    const every = together ? (await runningAt(deskAt(base, desk), together)).lessons.map((one) => one.id) : ids
    for (const lesson of every) {
      const { body } = await clientFor(base).call<WholeLesson>('GET', `/api/lessons/${lesson}`, undefined, desk)
      stored.push(...body.record.readings)
      const groups = new Set(body.lesson.plan.groups.map((group) => group.id))
      homeless += body.record.readings.filter(({ group }) => !groups.has(group)).length
    }
    const times = latencies(stations, board.arrived, outages)
    return {
      ...compare(stations, stored),
      homeless,
      changed,
      unseen: unseen(),
      ...spread(times),
      memoryBefore,
      memoryAfter,
      pages: pageFigures,
      shelf: await lists,
      stretches,
    }
  } finally {
    await application.stop()
    await second?.stop()
    server?.stop()
    remove()
  }
}

/** A second desk that opens shelf and term again and again. */
async function lookThrough(base: string, desk: Record<string, string>, goesOn: () => boolean) {
  const { call } = clientFor(base)
  const times: number[] = []
  for (let round = 0; goesOn(); round += 1) {
    const start = performance.now()
    const path = round % 2 === 0 ? '/api/lessons?archived=false' : '/api/term'
    const { status } = await call('GET', path, undefined, desk).catch(() => ({ status: 0 }))
    if (status === 200) times.push(performance.now() - start)
    await sleep(LOOK_AGAIN)
  }
  return { opened: times.length, median: spread(times).median }
}

/** What the server printed of its stretches since it was last asked. */
async function stretchesOf({ process, printed }: Application): Promise<{ p99: number; longest: number }> {
  const before = printed().length
  process.kill('SIGUSR2')
  const said = () => /stretches: median \d+ p99 (\d+) longest (\d+)/.exec(printed().slice(before))
  for (let rest = 0; rest < 1200 && !said(); rest += 1) await sleep(50)
  const [, p99, longest] = said() ?? []
  return { p99: Number(p99), longest: Number(longest) }
}

function isBusy(share: number): boolean {
  return share >= BUSY.from && share < BUSY.from + BUSY.share
}

async function prepare(base: string, count: number, investigations: number) {
  const { call, newLesson, open } = clientFor(base)
  const groups = Math.min(count, GROUP_NAMES.length)
  const lessons = []
  for (let place = 0; place < investigations; place += 1) {
    const { lesson } = await newLesson()
    const plan: Plan = { ...withGroups(lesson.plan, groups, () => crypto.randomUUID()), repeats: 5 }
    await call('PUT', `/api/lessons/${lesson.id}/plan`, { plan, revision: lesson.revision })
    lessons.push((await open(lesson.id)).lesson)
  }
  const ids = lessons.map(({ id }) => id)
  const together = investigations > 1 ? (await call<{ id: string }>('POST', '/api/together', { lessons: ids })).body.id : undefined
  const code = together && (await call<{ code: string }>('GET', `/api/together/${together}`)).body.code
  const opened = await call('PUT', '/api/class-mode', { passphrase: 'a whole class at once' })
  const cookie = opened.headers.getSetCookie()[0]?.split(';')[0] ?? ''
  const tokens = []
  for (let place = 0; place < count; place += 1) {
    const { id: lesson, code: own, plan } = lessons[place % investigations]!
    const { id: group, name } = plan.groups[Math.floor(place / investigations) % groups]!
    const joins = together ? { code, lesson, name } : { code: own, group }
    const { body } = await call<{ token: string }>('POST', '/api/stations', joins)
    tokens.push({ group, plan, headers: { authorization: `Bearer ${body.token}` } })
  }
  return { ids, together, desk: { cookie }, tokens }
}

async function killed(application: Application, data: string, port: number, environment: NodeJS.ProcessEnv): Promise<Application> {
  application.process.kill('SIGKILL')
  await new Promise((gone) =>
    application.process.exitCode === null && application.process.signalCode === null
      ? application.process.once('exit', gone)
      : gone(0),
  )
  return startApplication({ data, port, environment })
}

/** Resident memory of the server in megabytes. */
function memoryOf({ process }: Application): number {
  const kilobytes = /^VmRSS:\s+(\d+)/m.exec(readFileSync(`/proc/${process.pid}/status`, 'utf8'))?.[1]
  return Math.round(Number(kilobytes) / 1024)
}

function compare(stations: SoakStation[], stored: { id: string }[]) {
  const place = new Map(stored.map(({ id }, at) => [id, at]))
  const entries = stations.flatMap((station) => station.entries)
  const acknowledged = entries.filter((entry) => entry.acknowledged !== undefined)
  const outOfOrder = stations.reduce((sum, station) => {
    const places = station.entries.flatMap(({ id }) => (place.has(id) ? [place.get(id)!] : []))
    return sum + places.filter((at, index) => index > 0 && at < places[index - 1]!).length
  }, 0)
  return {
    entered: entries.length,
    acknowledged: acknowledged.length,
    lost: acknowledged.filter(({ id }) => !place.has(id)).length,
    doubled: stored.length - place.size,
    outOfOrder,
    refused: stations.reduce((sum, { refused }) => sum + refused, 0),
    stillWaiting: stations.reduce((sum, { waiting }) => sum + waiting, 0),
  }
}

function latencies(stations: SoakStation[], arrived: Map<string, number>, outages: [number, number][]): number[] {
  return stations
    .flatMap(({ entries, outages: own }) =>
      entries.filter(({ at }) => ![...outages, ...own].some(([from, to]) => at > from - 1000 && at < to)),
    )
    .flatMap(({ id, at }) => (arrived.has(id) ? [arrived.get(id)! - at] : []))
}

function spread(times: number[]) {
  const sorted = [...times].sort((a, b) => a - b)
  const at = (share: number) => Math.round(sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))] ?? Infinity)
  return { median: at(0.5), percentile95: at(0.95), measured: sorted.length }
}

function sleep(milliseconds: number): Promise<void> {
  return new Promise((next) => setTimeout(next, Math.max(0, milliseconds)))
}
