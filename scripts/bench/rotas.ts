import loadHighs from 'highs'
import { seededRandom } from '../../core/chance'
import { bestDraw, changeTogether, soonestFinish, type StationTime } from '../../core/arrangement'
import { readingTimetable } from '../../core/clock'
import { milliseconds, quantile, timeOf, type Row, type Size } from './figures'

/** As many as the page's worker looks through. */
const DRAWS = 60

/** How near the rotas come to what is possible: to the lower bound on random classes, to the optimum of a general solver on small ones. */
export async function benchRotas(size: Size): Promise<Row[]> {
  const [cases, solved, runs] = size === 'full' ? [200, 24, 20] : [4, 1, 1]
  const random = seededRandom(4)
  const between = (low: number, high: number) => low + Math.floor(random() * (high - low + 1))
  const draw = (groups: [number, number], stations: [number, number], minutes: number, copies: number) => ({
    groups: between(...groups),
    stations: Array.from({ length: between(...stations) }, (): StationTime => ({
      seconds: 60 * between(1, minutes),
      copies: between(1, copies),
    })),
  })

  const large = { groups: 10, stations: Array.from({ length: 8 }, (_, place) => ({ seconds: 180 + 30 * place, copies: 1 })) }
  // What is asked twice is remembered; every run asks about stations a second longer.
  const fresh = () => ({ ...large, stations: large.stations.map((station) => ({ ...station, seconds: (station.seconds += 1) })) })
  const one = await timeOf(() => bestDraw(fresh(), 1), 3 * runs)
  const times: number[] = []
  const gaps: number[] = []
  const loadGaps: number[] = []
  for (let count = 0; count < cases; count += 1) {
    const ask = draw([2, 10], [2, 8], 10, 3)
    const start = performance.now()
    const { finish } = bestDraw(ask, DRAWS)
    times.push(performance.now() - start)
    gaps.push(finish / soonestFinish(ask.groups, ask.stations) - 1)
    loadGaps.push(finish / loadBound(ask) - 1)
  }
  const worst = await timeOf(() => bestDraw(fresh(), DRAWS), runs)

  const overOptimum: number[] = []
  const highs = await loadHighs()
  for (let count = 0; count < solved; count += 1) {
    const ask = draw([2, 4], [2, 4], 4, 2)
    const { finish } = bestDraw(ask, DRAWS)
    overOptimum.push(finish / optimum(highs, ask, finish) - 1)
  }

  let rounds = 0
  for (let groups = 2; groups <= 10; groups += 1) {
    for (let stations = 2; stations <= 8; stations += 1) {
      const start = performance.now()
      changeTogether({ groups, copies: Array.from({ length: stations }, () => between(1, 3)) })
      rounds = Math.max(rounds, performance.now() - start)
    }
  }
  let slow = 0
  for (const times of [
    [0, 2, 4, 9],
    [0, 1, 3, 7, 12],
    [0, 5, 10, 15],
    [0, 2, 3, 11],
  ]) {
    for (const instruments of [1, 2, 3]) {
      for (const minutesPerReading of [0.5, 1, 1.5]) {
        const start = performance.now()
        readingTimetable({ jars: 6, times, minutesPerReading, instruments, grid: 0.5 })
        slow = Math.max(slow, performance.now() - start)
      }
    }
  }
  const share = (value: number) => `${(100 * value).toFixed(1)} %`
  const against = (time: number) => `${(time / one).toFixed(0)} x one rota (${milliseconds(one)})`
  const spread = (values: number[]) =>
    `mean ${share(values.reduce((sum, value) => sum + value, 0) / values.length)}, 19 in 20 within ${share(quantile(values, 0.95))}, worst ${share(Math.max(...values))}`
  return [
    row('circuit when ready, 10 groups x 8 stations', milliseconds(worst), 'under 500 ms', against(worst)),
    row(`slowest of ${cases} random classes`, milliseconds(Math.max(...times)), 'under 500 ms', against(Math.max(...times))),
    row('over the lower bound, whole turns counted', spread(gaps), 'within 10 %', `${cases} random classes`),
    row('over longest group or busiest station / copies', spread(loadGaps), '-', `${cases} random classes`),
    row('over the optimum', spread(overOptimum), 'near 0', `highs on ${solved} small classes`),
    row('circuit that changes together, slowest of 63 sizes', milliseconds(rounds), 'under 500 ms', against(rounds)),
    row('reading timetable, 6 jars, slowest of 36', milliseconds(slow), 'under 1 s', against(slow)),
  ]
}

function row(what: string, figure: string, wanted: string, reference: string): Row {
  return { what, figure, wanted, reference }
}

interface Ask {
  groups: number
  stations: StationTime[]
}

/** The simpler bound: a station with copies as if its visits could be split among them. */
function loadBound({ groups, stations }: Ask): number {
  const one = stations.reduce((sum, { seconds }) => sum + seconds, 0)
  return Math.max(one, ...stations.map(({ seconds, copies }) => (seconds * groups) / copies))
}

/** The soonest finish there is, in seconds: a visit begins at one of the whole minutes (all visits last whole minutes). */
function optimum(highs: Awaited<ReturnType<typeof loadHighs>>, { groups, stations }: Ask, known: number): number {
  const minutes = stations.map(({ seconds }) => seconds / 60)
  const horizon = known / 60
  const begins: { name: string; group: number; station: number; at: number }[] = []
  for (let group = 0; group < groups; group += 1)
    for (const [station, length] of minutes.entries())
      for (let at = 0; at + length <= horizon; at += 1) begins.push({ name: `x${group}_${station}_${at}`, group, station, at })
  const sum = (terms: { name: string }[]) => terms.map(({ name }) => name).join(' + ')
  const running = (at: number) => begins.filter((one) => one.at <= at && at < one.at + minutes[one.station]!)
  const rows: string[] = []
  for (let group = 0; group < groups; group += 1) {
    for (const station of minutes.keys()) {
      const own = begins.filter((one) => one.group === group && one.station === station)
      rows.push(`${sum(own)} = 1`)
      rows.push(`${own.map(({ name, at }) => `${at + minutes[station]!} ${name}`).join(' + ')} - finish <= 0`)
    }
  }
  for (let at = 0; at < horizon; at += 1) {
    const now = running(at)
    for (let group = 0; group < groups; group += 1) {
      const own = now.filter((one) => one.group === group)
      if (own.length > 1) rows.push(`${sum(own)} <= 1`)
    }
    for (const [station, { copies }] of stations.entries()) {
      const own = now.filter((one) => one.station === station)
      if (own.length > copies) rows.push(`${sum(own)} <= ${copies}`)
    }
  }
  const problem = `Minimize\n finish\nSubject To\n ${rows.join('\n ')}\nBinary\n ${begins.map(({ name }) => name).join(' ')}\nEnd`
  const { Status, ObjectiveValue } = highs.solve(problem)
  if (Status !== 'Optimal') throw new Error(`The solver says ${Status}.`)
  return Math.round(ObjectiveValue) * 60
}
