import { numbersFrom } from './random'
import { remembered } from './remember'

/** A station of a circuit: how long a group stays, and how many of its kind stand in the room. */
export interface StationTime {
  seconds: number
  copies: number
}

export interface Visit {
  group: number
  station: number
  copy: number
  /** Seconds since the circuit began. */
  start: number
  end: number
}

export interface Rota {
  visits: Visit[]
  /** Seconds until the last group is done. */
  finish: number
}

/**
 * Fewest rounds in which every group visits every station once, when all change together: as many as there are stations, or as
 * the scarcest station needs.
 * @example fewestRounds(10, [5, 2, 3, 1]) // 10
 */
export function fewestRounds(groups: number, copies: number[]): number {
  return Math.max(copies.length, ...copies.map((count) => Math.ceil(groups / Math.max(1, count))))
}

/**
 * A rota in the fewest rounds: every group everywhere exactly once, nobody in two places, no station copy with two groups. The
 * groups of a station are spread evenly over its copies; the visits then form a graph of groups and copies in which nobody has
 * more visits than there are rounds, and Kőnig's edge colouring (alternating paths) gives each visit its round.
 * @returns for every round and group the station and its copy, or undefined where the group has nothing to do
 */
export const changeTogether = remembered(({ groups, copies }: { groups: number; copies: number[] }) => {
  const rounds = fewestRounds(groups, copies)
  const vertices = copies.flatMap((count, station) => Array.from({ length: Math.max(1, count) }, (_, copy) => ({ station, copy })))
  const byGroup = Array.from({ length: groups }, () => new Array<number | undefined>(rounds).fill(undefined))
  const byCopy = vertices.map(() => new Array<number | undefined>(rounds).fill(undefined))
  const freeRound = (row: (number | undefined)[]) => row.findIndex((used) => used === undefined)

  for (let group = 0; group < groups; group += 1) {
    for (const [station, count] of copies.entries()) {
      const vertex = vertices.findIndex((one) => one.station === station && one.copy === (group + station) % Math.max(1, count))
      place(group, vertex)
    }
  }

  function place(group: number, vertex: number): void {
    const own = freeRound(byGroup[group]!)
    const theirs = freeRound(byCopy[vertex]!)
    if (byCopy[vertex]![own] !== undefined) swapAlong(vertex, own, theirs)
    byGroup[group]![own] = vertex
    byCopy[vertex]![own] = group
  }

  /** Swaps two rounds along the path that starts at a copy, so that its first round becomes free. */
  function swapAlong(vertex: number, first: number, second: number): void {
    const path: [group: number, vertex: number, round: number][] = []
    let [at, round, atCopy] = [vertex, first, true]
    for (;;) {
      const next = atCopy ? byCopy[at]![round] : byGroup[at]![round]
      if (next === undefined) break
      path.push(atCopy ? [next, at, round] : [at, next, round])
      ;[at, round, atCopy] = [next, round === first ? second : first, !atCopy]
    }
    for (const [group, copy, used] of path) {
      byGroup[group]![used] = undefined
      byCopy[copy]![used] = undefined
    }
    for (const [group, copy, used] of path) {
      const other = used === first ? second : first
      byGroup[group]![other] = copy
      byCopy[copy]![other] = group
    }
  }

  return Array.from({ length: rounds }, (_, round) =>
    byGroup.map((row) => {
      const vertex = row[round]
      return vertex === undefined ? undefined : vertices[vertex]
    }),
  )
})

/**
 * No rota can end sooner: the time one group needs for all stations, or the busiest station for all groups. A visit cannot be
 * split, so a station with three copies needs four turns for ten groups.
 * @example soonestFinish(10, [{ seconds: 60, copies: 3 }]) // 240
 */
export function soonestFinish(groups: number, stations: StationTime[]): number {
  const one = stations.reduce((sum, { seconds }) => sum + seconds, 0)
  return Math.max(one, ...stations.map(({ seconds, copies }) => seconds * Math.ceil(groups / Math.max(1, copies))), 0)
}

export interface WhenReadyAsk {
  groups: number
  stations: StationTime[]
  /** Which of the drawn rotas; 0 is drawn without chance. */
  draw: number
}

/**
 * A rota for groups that move on when they are ready (an open shop): whenever a group and a station are free, the pair with the
 * most work still ahead goes first, with a little chance in it that `draw` fixes.
 */
export function whenReady({ groups, stations, draw }: WhenReadyAsk): Rota {
  const random = numbersFrom(draw)
  const jitter = draw === 0 ? 0 : 0.6
  const groupFree = new Array<number>(groups).fill(0)
  const groupLoad = new Array<number>(groups).fill(stations.reduce((sum, { seconds }) => sum + seconds, 0))
  const copyFree = stations.map(({ copies }) => new Array<number>(Math.max(1, copies)).fill(0))
  const stationLoad = stations.map(({ seconds, copies }) => (seconds * groups) / Math.max(1, copies))
  const most = Math.max(...groupLoad, ...stationLoad, 1)
  const open = Array.from({ length: groups }, () => new Set(stations.keys()))
  const visits: Visit[] = []
  for (let left = groups * stations.length; left > 0; left -= 1) {
    let best: { group: number; station: number; copy: number; start: number; rank: number } | undefined
    for (let group = 0; group < groups; group += 1) {
      for (const station of open[group]!) {
        const copies = copyFree[station]!
        const copy = copies.indexOf(Math.min(...copies))
        const start = Math.max(groupFree[group]!, copies[copy]!)
        if (best && start > best.start) continue
        const rank = groupLoad[group]! / most + (2 * stationLoad[station]!) / most + jitter * random()
        if (!best || start < best.start || rank > best.rank) best = { group, station, copy, start, rank }
      }
    }
    const { group, station, copy, start } = best!
    const { seconds, copies } = stations[station]!
    const end = start + seconds
    visits.push({ group, station, copy, start, end })
    groupFree[group] = end
    copyFree[station]![copy] = end
    groupLoad[group]! -= seconds
    stationLoad[station]! -= seconds / Math.max(1, copies)
    open[group]!.delete(station)
  }
  return { visits, finish: Math.max(0, ...groupFree) }
}

/**
 * The draw with the soonest finish among some; ends early once nothing can be sooner.
 * @param tick called after every draw, so that a page can show progress
 */
export function bestDraw(
  { groups, stations }: Omit<WhenReadyAsk, 'draw'>,
  draws: number,
  first = 0,
  tick: (done: number) => void = () => {},
): { draw: number; finish: number } {
  const bound = soonestFinish(groups, stations)
  let best = { draw: first, finish: Infinity }
  for (let draw = first; draw < first + draws && best.finish > bound; draw += 1) {
    const { finish } = whenReady({ groups, stations, draw })
    if (finish < best.finish) best = { draw, finish }
    tick(draw - first + 1)
  }
  return best
}
