import { remembered } from '../chance'

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
 * @example fewestRounds(10, [5, 2, 3, 1]) // => 10
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
