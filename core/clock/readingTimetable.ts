import { remembered } from '../chance'
import { withoutNoise } from '../quantity'

export interface TimetableAsk {
  jars: number
  /** Minutes after a jar's own start, ascending. */
  times: number[]
  /** How long one reading holds an instrument, in minutes. */
  minutesPerReading: number
  instruments: number
  /** Starts lie on multiples of this many minutes, or of a part of it on which every time of reading lies. */
  grid: number
}

export interface JarReading {
  jar: number
  /** Place in `times`. */
  time: number
  /** Minutes since the first jar began. */
  start: number
  instrument: number
}

export interface Timetable {
  starts: number[]
  readings: JarReading[]
  finish: number
  /** Shown to be the soonest of all; with many jars only a good one is looked for. */
  soonest: boolean
}

/** Up to so many jars every possibility is looked at. */
const MOST_JARS_SURE = 6
const MOST_STEPS = 400_000

/**
 * When to start each jar so that its readings never need an instrument that is in use, and the last reading ends as soon as can
 * be. All jars are alike, so their starts may ascend and the first one is 0: for a longer and longer last start, a search with
 * backtracking tries to put the others before it. With more jars than six each takes the first start that fits.
 * @example readingTimetable({ jars: 3, times: [0, 2, 4, 9], minutesPerReading: 1, instruments: 1, grid: 0.5 }).starts // => [0, 3, 6]
 */
export const readingTimetable = remembered((ask: TimetableAsk): Timetable => {
  const { jars, times, minutesPerReading } = ask
  if (jars === 0 || times.length === 0) return { starts: [], readings: [], finish: 0, soonest: true }
  const grid = gridFor(times, ask.grid)
  const hold = Math.max(1, Math.ceil(withoutNoise(minutesPerReading / grid)))
  const offsets = times.map((time) => Math.round(time / grid))
  const instruments = Math.max(1, ask.instruments)
  const found = jars <= MOST_JARS_SURE ? search(jars, offsets, hold, instruments) : undefined
  const slots = found ?? firstFit(jars, offsets, hold, instruments)
  const starts = slots.map((slot) => withoutNoise(slot * grid))
  const readings = handOut(starts, times, minutesPerReading, instruments)
  const finish = withoutNoise(Math.max(...readings.map(({ start }) => start)) + minutesPerReading)
  return { starts, readings, finish, soonest: found !== undefined }
})

/** Times are written with two decimals at most. */
const FINEST = 100

/** The wanted grid, or a finer one on which every time of reading lies. `gridFor([0, 1.25], 0.5) // 0.25` */
function gridFor(times: number[], wanted: number): number {
  const parts = [wanted, ...times].map((time) => Math.round(time * FINEST)).filter((part) => part > 0)
  return parts.reduce(commonDivisor) / FINEST
}

function commonDivisor(a: number, b: number): number {
  let [high, low] = [a, b]
  while (low > 0) [high, low] = [low, high % low]
  return high
}

/** How many instruments are in use at each moment of the grid. */
type Busy = Uint8Array

function fits(busy: Busy, start: number, offsets: number[], hold: number, instruments: number): boolean {
  return offsets.every((offset) => {
    for (let at = start + offset; at < start + offset + hold; at += 1) if (busy[at]! >= instruments) return false
    return true
  })
}

function change(busy: Busy, start: number, offsets: number[], hold: number, by: number): void {
  for (const offset of offsets) for (let at = start + offset; at < start + offset + hold; at += 1) busy[at]! += by
}

function search(jars: number, offsets: number[], hold: number, instruments: number): number[] | undefined {
  const whole = offsets.at(-1)! + hold
  // A jar whose own readings overlap needs more than one instrument for itself.
  const alone = new Uint8Array(whole + hold)
  if (!placeAlone(alone, offsets, hold, instruments)) return undefined
  let steps = 0
  const later = jars * whole
  for (let last = 0; last <= later; last += 1) {
    const busy = new Uint8Array(last + whole + hold)
    const starts: number[] = []
    if (deepen(busy, starts, 0, last)) return starts
    if (steps > MOST_STEPS) return undefined
  }
  return undefined

  function deepen(busy: Busy, starts: number[], from: number, last: number): boolean {
    const left = jars - starts.length
    if (left === 0) return starts.at(-1) === last
    const [least, most] = left === 1 ? [last, last] : starts.length === 0 ? [0, 0] : [from, last]
    for (let start = Math.max(from, least); start <= most; start += 1) {
      if ((steps += 1) > MOST_STEPS) return false
      if (!fits(busy, start, offsets, hold, instruments)) continue
      change(busy, start, offsets, hold, 1)
      starts.push(start)
      if (deepen(busy, starts, start, last)) return true
      starts.pop()
      change(busy, start, offsets, hold, -1)
    }
    return false
  }
}

function placeAlone(busy: Busy, offsets: number[], hold: number, instruments: number): boolean {
  for (const offset of offsets) {
    for (let at = offset; at < offset + hold; at += 1) {
      busy[at]! += 1
      if (busy[at]! > instruments) return false
    }
  }
  return true
}

function firstFit(jars: number, offsets: number[], hold: number, instruments: number): number[] {
  const whole = offsets.at(-1)! + hold
  const busy = new Uint8Array((jars + 1) * whole + hold)
  const starts: number[] = []
  for (let jar = 0; jar < jars; jar += 1) {
    let start = starts.at(-1) ?? 0
    const end = jar * whole
    while (start < end && !fits(busy, start, offsets, hold, instruments)) start += 1
    change(busy, start, offsets, hold, 1)
    starts.push(start)
  }
  return starts
}

/** Which instrument each reading takes: the one that has been free the longest. */
function handOut(starts: number[], times: number[], minutes: number, instruments: number): JarReading[] {
  const free = new Array<number>(instruments).fill(-Infinity)
  return starts
    .flatMap((start, jar) => times.map((time, place) => ({ jar, time: place, start: withoutNoise(start + time) })))
    .sort((a, b) => a.start - b.start || a.jar - b.jar)
    .map((reading) => {
      const instrument = free.indexOf(Math.min(...free))
      free[instrument] = withoutNoise(reading.start + minutes)
      return { ...reading, instrument }
    })
}
