import { seededRandom, remembered } from '../chance'

export interface ShareOutAsk {
  groups: number
  conditions: number
  /** How many conditions each group does. */
  each: number
  /** Place of a condition that every group does, such as the baseline. */
  inEvery?: number
}

const TRIES = 40
const STEPS = 3000
/** Large designs get fewer tries, so that none holds up the page. */
const MOST_WORK = 16_000

/**
 * Which conditions each group does when nobody does all: how often each condition is done differs by at most one, and how often
 * two of them meet within a group differs by as little as can be found. The fewest are taken first, then conditions are swapped
 * between groups (simulated annealing with a fixed stream of numbers) until no pair meets more than once oftener than another.
 * @returns for every group the places of its conditions, ascending
 * @example shareOut({ groups: 6, conditions: 4, each: 2 }).map((own) => own.join('')).sort() // => ['01', '02', '03', '12', '13', '23']
 */
export const shareOut = remembered(({ groups, conditions, each, inEvery }: ShareOutAsk): number[][] => {
  const free = Array.from({ length: conditions }, (_, place) => place).filter((place) => place !== inEvery)
  const always = inEvery === undefined ? [] : [inEvery]
  const own = Math.max(0, Math.min(free.length, each - always.length))
  const chosen = own === free.length ? Array.from({ length: groups }, () => free) : draw(groups, free, own)
  return chosen.map((places) => [...always, ...places].sort((a, b) => a - b))
})

function draw(groups: number, items: number[], own: number): number[][] {
  let best: number[][] = []
  let fewest = Infinity
  const goal = evenest(groups, items.length, own)
  const tries = Math.max(2, Math.min(TRIES, Math.floor(MOST_WORK / (groups * own ** 2))))
  for (let attempt = 0; attempt < tries && fewest > goal; attempt += 1) {
    const random = seededRandom(attempt)
    const blocks = firstBlocks(groups, items.length, own, random)
    const found = anneal(blocks, items.length, goal, random)
    if (found.cost >= fewest) continue
    fewest = found.cost
    best = found.blocks.map((block) => block.map((place) => items[place]!))
  }
  return best
}

/** Every group takes the conditions that were taken least so far, so that none is ever two behind another. */
function firstBlocks(groups: number, items: number, own: number, random: () => number): number[][] {
  const taken = new Array<number>(items).fill(0)
  return Array.from({ length: groups }, () => {
    const order = taken.map((count, place) => ({ place, rank: count + random() * 0.9 })).sort((a, b) => a.rank - b.rank)
    const block = order.slice(0, own).map(({ place }) => place)
    for (const place of block) taken[place]! += 1
    return block
  })
}

/** The lowest sum of squares of meetings that could be: all pairs meet equally often, or one differs by one. */
function evenest(groups: number, items: number, own: number): number {
  const meetings = (groups * own * (own - 1)) / 2
  const pairs = (items * (items - 1)) / 2
  const low = Math.floor(meetings / pairs)
  const more = meetings - low * pairs
  return more * (low + 1) ** 2 + (pairs - more) * low ** 2
}

function anneal(blocks: number[][], items: number, goal: number, random: () => number): { blocks: number[][]; cost: number } {
  const meets = Array.from({ length: items }, () => new Array<number>(items).fill(0))
  for (const block of blocks) for (const a of block) for (const b of block) if (a !== b) meets[a]![b]! += 1
  let cost = meets.reduce((all, row, a) => all + row.reduce((part, count, b) => part + (b > a ? count ** 2 : 0), 0), 0)
  const meet = (a: number, b: number, change: 1 | -1) => {
    const count = meets[a]![b]!
    meets[a]![b] = meets[b]![a] = count + change
    cost += 2 * change * count + 1
  }
  const move = (block: number[], out: number, into: number) => {
    for (const other of block) {
      if (other === out) continue
      meet(out, other, -1)
      meet(into, other, 1)
    }
    block[block.indexOf(out)] = into
  }
  const pick = (size: number) => Math.floor(random() * size)
  for (let step = 0; step < STEPS && cost > goal; step += 1) {
    const [one, other] = [blocks[pick(blocks.length)]!, blocks[pick(blocks.length)]!]
    const [a, b] = [one[pick(one.length)]!, other[pick(other.length)]!]
    if (one === other || one.includes(b) || other.includes(a)) continue
    const before = cost
    move(one, a, b)
    move(other, b, a)
    const warmth = 1.5 * (1 - step / STEPS) + 0.01
    if (cost <= before || random() < Math.exp((before - cost) / warmth)) continue
    move(one, b, a)
    move(other, a, b)
  }
  return { blocks, cost }
}
