import { seededRandom, remembered } from '../chance'
import type { Rota, StationTime, Visit } from './circuit'

/**
 * No rota can end sooner: the time one group needs for all stations, or the busiest station for all groups. A visit cannot be
 * split, so a station with three copies needs four turns for ten groups.
 * @example soonestFinish(10, [{ seconds: 60, copies: 3 }]) // => 240
 */
export function soonestFinish(groups: number, stations: StationTime[]): number {
  const one = stations.reduce((sum, { seconds }) => sum + seconds, 0)
  return Math.max(one, ...stations.map(({ seconds, copies }) => seconds * Math.ceil(groups / copiesOf(copies))), 0)
}

export interface WhenReadyAsk {
  groups: number
  stations: StationTime[]
  /** Which of the drawn rotas. */
  draw: number
}

/** So many changes are tried on a rota. */
const CHANGES = 200

/**
 * A rota for groups that move on when they are ready (an open shop). The visits are put into an order, busy stations first, and
 * each takes the soonest time at which its group and a copy of its station are both free; then visits change places in the order
 * for as long as that ends no later. `draw` fixes the chance in it.
 * @example whenReady({ groups: 2, stations: [{ seconds: 60, copies: 1 }, { seconds: 60, copies: 1 }], draw: 0 }).finish // => 120
 */
export const whenReady = remembered(({ groups, stations, draw }: WhenReadyAsk): Rota => {
  const random = seededRandom(draw)
  const bound = soonestFinish(groups, stations)
  let order = firstOrder(groups, stations, random)
  let best = rotaInOrder(groups, stations, order)
  for (let change = 0; change < CHANGES && best.finish > bound; change += 1) {
    const changed = withChange(order, random)
    const rota = rotaInOrder(groups, stations, changed)
    if (rota.finish > best.finish) continue
    order = changed
    best = rota
  }
  return best
})

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

interface Turn {
  group: number
  station: number
}

function firstOrder(groups: number, stations: StationTime[], random: () => number): Turn[] {
  const turns = stations.flatMap(({ seconds, copies }, station) =>
    Array.from({ length: groups }, (_, group) => {
      const load = (seconds * groups) / copiesOf(copies)
      return { turn: { group, station }, rank: load * (0.5 + random()) + seconds * random() }
    }),
  )
  return turns.sort((a, b) => b.rank - a.rank).map(({ turn }) => turn)
}

/** Two visits change places, or one is put somewhere else. */
function withChange(order: Turn[], random: () => number): Turn[] {
  const changed = [...order]
  const pick = () => Math.floor(random() * order.length)
  const [from, to] = [pick(), pick()]
  if (random() < 0.5) [changed[from], changed[to]] = [changed[to]!, changed[from]!]
  else changed.splice(to, 0, changed.splice(from, 1)[0]!)
  return changed
}

/** Every visit, in this order, as soon as can be: also in a gap before visits that were placed earlier. */
function rotaInOrder(groups: number, stations: StationTime[], order: Turn[]): Rota {
  const ofGroup = Array.from({ length: groups }, (): Visit[] => [])
  const ofCopy = stations.map(({ copies }) => Array.from({ length: copiesOf(copies) }, (): Visit[] => []))
  const visits = order.map(({ group, station }): Visit => {
    const { seconds } = stations[station]!
    const starts = ofCopy[station]!.map((taken) => soonestGap(ofGroup[group]!, taken, seconds))
    const start = Math.min(...starts)
    const copy = starts.indexOf(start)
    const visit = { group, station, copy, start, end: start + seconds }
    insert(ofGroup[group]!, visit)
    insert(ofCopy[station]![copy]!, visit)
    return visit
  })
  return { visits, finish: visits.reduce((last, { end }) => Math.max(last, end), 0) }
}

/** The soonest start at which neither of two rows of visits, each by time, is in the way. */
function soonestGap(one: Visit[], other: Visit[], seconds: number): number {
  let start = 0
  let [a, b] = [0, 0]
  for (;;) {
    while (a < one.length && one[a]!.end <= start) a += 1
    while (b < other.length && other[b]!.end <= start) b += 1
    if (a < one.length && one[a]!.start < start + seconds) start = one[a]!.end
    else if (b < other.length && other[b]!.start < start + seconds) start = other[b]!.end
    else return start
  }
}

function insert(row: Visit[], visit: Visit): void {
  let place = row.length
  while (place > 0 && row[place - 1]!.start > visit.start) place -= 1
  row.splice(place, 0, visit)
}

function copiesOf(copies: number): number {
  return Math.max(1, copies)
}
